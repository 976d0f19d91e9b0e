import { patternRow } from '../numbers/pattern.ts';
import { bad, good } from '../outcome.ts';
import { inGrid, type Drawing, type Ink, type Shape } from '../page/drawing.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count, listWords, numberName } from './words.ts';

const PIECE_INKS: Readonly<Record<string, Ink>> = {
  red: 'red',
  blue: 'blue',
  yellow: 'yellow',
  green: 'green',
  black: 'ink',
  white: 'white',
  grey: 'grey',
};

const MOST_ROW = 24;

/** A piece of a pattern: its colour, and a shape by its place in the unit, so that it is told without colour. */
function piece(name: string, index: number): Drawing {
  const fill = PIECE_INKS[name] ?? (['teal', 'marigold', 'mulberry'] as const)[index % 3]!;
  const shapes: Shape[] =
    index === 0
      ? [{ kind: 'circle', x: 8, y: 8, r: 6.5, fill, stroke: 'ink', width: 0.4 }]
      : index === 1
        ? [{ kind: 'rect', x: 2, y: 2, w: 12, h: 12, fill, stroke: 'ink', width: 0.4 }]
        : index === 2
          ? [
              {
                kind: 'polygon',
                points: [
                  [8, 1.5],
                  [14.5, 14],
                  [1.5, 14],
                ],
                fill,
                stroke: 'ink',
                width: 0.4,
              },
            ]
          : [
              {
                kind: 'polygon',
                points: [
                  [8, 1],
                  [15, 8],
                  [8, 15],
                  [1, 8],
                ],
                fill,
                stroke: 'ink',
                width: 0.4,
              },
            ];
  return { width: 16, height: 16, shapes };
}

const GAP: Drawing = {
  width: 16,
  height: 16,
  shapes: [
    { kind: 'rect', x: 1.5, y: 1.5, w: 13, h: 13, stroke: 'ink', width: 0.4, isDashed: true },
    { kind: 'text', x: 8, y: 11.5, size: 9, text: '?', align: 'middle' },
  ],
};

/** A repeating row: continued, copied, its unit found, or mended. */
export const patternRowMaker: Maker = {
  id: 'pattern-row',
  title: 'Pattern row',
  about: 'A unit that repeats: continue it, say the unit, find the gap, mend the wrong one.',
  skills: ['pattern'],
  dials: [
    {
      kind: 'list',
      name: 'unit',
      label: 'unit',
      hint: 'up to six pieces, such as: red red blue',
      value: 'red red blue',
    },
    { kind: 'number', name: 'length', label: 'pieces in the row', min: 2, max: MOST_ROW, value: 8 },
    {
      kind: 'choice',
      name: 'task',
      label: 'task',
      choices: ['what comes next', 'one is hidden', 'one is wrong', 'copy it'],
      value: 'what comes next',
    },
    { kind: 'number', name: 'have', label: 'of each colour at home', min: 1, max: 30, value: 5 },
  ],
  make(values) {
    const unit = String(values.unit)
      .trim()
      .toLowerCase()
      .split(/[\s,]+/)
      .filter(Boolean);
    const kinds = [...new Set(unit)];
    if (unit.length < 2 || unit.length > 6)
      return bad({ code: 'list', dial: 'unit', reason: `takes two to six pieces, not ${unit.length}` });
    if (kinds.length < 2)
      return bad({ code: 'list', dial: 'unit', reason: 'needs at least two different pieces, or nothing repeats' });
    if (kinds.length > 4)
      return bad({
        code: 'list',
        dial: 'unit',
        reason: `has ${kinds.length} different pieces; more than four are not told apart at a glance`,
      });
    const length = numberOf(values, 'length');
    if (length < unit.length * 2 && values.task !== 'copy it')
      return refuse(
        `${length} pieces do not show a unit of ${unit.length} twice, so nobody can see that it repeats; take at least ${unit.length * 2}`,
      );
    const have = Object.fromEntries(kinds.map((kind) => [kind, numberOf(values, 'have')]));
    const { row, next, uses, short } = patternRow({ unit, length, have });
    const letters = unit.map((name) => String.fromCharCode(65 + kinds.indexOf(name))).join('');
    const at =
      values.task === 'one is hidden' || values.task === 'one is wrong' ? Math.min(length - 2, unit.length + 1) : -1;
    const wrong = at >= 0 ? kinds[(kinds.indexOf(row[at]!) + 1) % kinds.length]! : '';
    const shown = row.map((name, index) =>
      index === at
        ? values.task === 'one is hidden'
          ? GAP
          : piece(wrong, kinds.indexOf(wrong))
        : piece(name, kinds.indexOf(name)),
    );
    const picture = inGrid(values.task === 'what comes next' ? [...shown, GAP] : shown, 12, 3);
    const task =
      values.task === 'one is hidden'
        ? { kind: 'ask' as const, text: '“Which one hides here?”', answer: row[at] }
        : values.task === 'one is wrong'
          ? {
              kind: 'ask' as const,
              text: '“One has gone to the wrong place. Which?”',
              answer: `the ${numberName(at + 1)} from the start: it should be ${row[at]}`,
            }
          : values.task === 'copy it'
            ? { kind: 'do' as const, text: 'Your child lays the same row below yours.' }
            : { kind: 'ask' as const, text: '“What comes next?”', answer: next };
    const lacking = Object.entries(short);
    const body = [
      { kind: 'do' as const, text: `Lay ${count(length, 'piece')} in a row: ${row.join(', ')}.` },
      { kind: 'say' as const, text: `Say it together with a beat: “${unit.join(', ')} · ${unit.join(', ')}”.` },
      task,
      { kind: 'ask' as const, text: '“Which bit comes again and again?”', answer: `${unit.join(', ')} (${letters})` },
    ];
    return good({
      facts: [
        `${letters}: ${listWords(Object.entries(uses).map(([name, number]) => `${number} ${name}`))}.`,
        lacking.length > 0
          ? `Short of ${listWords(lacking.map(([name, number]) => `${number} ${name}`))}: make the row shorter, or use another colour.`
          : 'There are enough of each.',
      ],
      picture,
      lines: {
        easier: [
          { kind: 'do', text: `Lay ${kinds[0]}, ${kinds[1]}, ${kinds[0]}, ${kinds[1]}.` },
          { kind: 'ask', text: '“And then?”', answer: kinds[0] },
        ],
        right: body,
        harder: [...body, { kind: 'do', text: 'Do the same pattern with steps and claps.' }],
      },
      materials: [
        {
          item: 'building-block',
          qty: length,
          use: 'lasting',
          swaps: [
            { item: 'clothes-peg', fit: 0.8, why: 'in two colours, along a chair' },
            { item: 'sock', fit: 0.6, why: 'striped and plain' },
          ],
        },
      ],
      actions: [],
      printable: { title: 'Pattern row', cards: [], sheets: [picture] },
      key: [`${row.join(', ')}, then ${next}`],
    });
  },
};
