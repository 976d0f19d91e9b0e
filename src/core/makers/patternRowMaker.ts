import { patternRow } from '../numbers/pattern.ts';
import { clearFault } from '../numbers/patternFault.ts';
import { err, ok } from '../outcome.ts';
import { inGrid, type Drawing, type Ink, type Shape } from '../page/drawing.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count, listWords, numberName, ordinalName } from './words.ts';

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
      return err({ code: 'list', dial: 'unit', reason: `takes two to six pieces, not ${unit.length}` });
    if (kinds.length < 2)
      return err({ code: 'list', dial: 'unit', reason: 'needs at least two different pieces, or nothing repeats' });
    if (kinds.length > 4)
      return err({
        code: 'list',
        dial: 'unit',
        reason: `has ${kinds.length} different pieces; more than four are not told apart at a glance`,
      });
    const repeated = shortestUnit(unit);
    if (repeated.length < unit.length)
      return err({
        code: 'list',
        dial: 'unit',
        reason: `is ${repeated.join(' ')} more than once; write only ${repeated.join(' ')}`,
      });
    const length = numberOf(values, 'length');
    if (length < unit.length * 2 && values.task !== 'copy it')
      return refuse(
        `${length} pieces do not show a unit of ${unit.length} twice, so nobody can see that it repeats; take at least ${unit.length * 2}`,
      );
    const { row, next } = patternRow({ unit, length, have: {} });
    const showsUnit = length >= unit.length * 2;
    const letters = unit.map((name) => String.fromCharCode(65 + kinds.indexOf(name))).join('');
    const isWrong = values.task === 'one is wrong';
    const isHidden = values.task === 'one is hidden';
    const fault = isWrong ? clearFault(row, unit.length) : null;
    if (isWrong && !fault)
      return refuse(
        `with ${length} pieces a wrong one could be mended in two ways, and both would be right; take more pieces`,
      );
    const at = isHidden ? Math.min(length - 2, unit.length + 1) : (fault?.at ?? -1);
    const laid = row.map((name, index) => (fault && index === at ? fault.wrong : name));
    const shown = laid.map((name, index) => (isHidden && index === at ? GAP : piece(name, kinds.indexOf(name))));
    const needed = piecesNeeded({ laid, kinds, task: String(values.task), mends: row[at], next });
    const lacking = kinds.flatMap((kind) => {
      const missing = needed.get(kind)! - numberOf(values, 'have');
      return missing > 0 ? [`${missing} ${kind}`] : [];
    });
    const picture = inGrid(values.task === 'what comes next' ? [...shown, GAP] : shown, 12, 3);
    const task = isHidden
      ? { key: 'ask-1', kind: 'ask' as const, text: '“Which one hides here?”', answer: row[at] }
      : isWrong
        ? {
            key: 'ask-2',
            kind: 'ask' as const,
            text: '“One of them is wrong. Which?”',
            answer: `the ${ordinalName(at + 1)}: it should be ${row[at]}`,
          }
        : values.task === 'copy it'
          ? { key: 'do-1', kind: 'do' as const, text: 'Your child lays the same row below yours.' }
          : { key: 'ask-3', kind: 'ask' as const, text: '“What comes next?”', answer: next };
    const body = [
      {
        key: 'do-2',
        kind: 'do' as const,
        text: `Lay ${count(length, 'piece')} in a row: ${laid.join(', ')}.${isHidden ? ` Cover the ${ordinalName(at + 1)}.` : ''}`,
      },
      ...(showsUnit && !isWrong
        ? [
            {
              key: 'say-1',
              kind: 'say' as const,
              text: `Say it together with a beat: “${unit.join(', ')} · ${unit.join(', ')}”.`,
            },
          ]
        : []),
      task,
      ...(showsUnit
        ? [
            {
              key: 'ask-4',
              kind: 'ask' as const,
              text: '“Which bit comes again and again?”',
              answer: `${unit.join(', ')} (${letters})`,
            },
          ]
        : []),
    ];
    return ok({
      facts: [
        `${letters}: ${listWords(kinds.map((kind) => `${needed.get(kind)!} ${kind}`))}.`,
        lacking.length > 0
          ? `Short of ${listWords(lacking)}: make the row shorter, or use another colour.`
          : 'There are enough of each.',
      ],
      picture,
      lines: {
        easier: [
          { key: 'do-3', kind: 'do', text: `Lay ${easierRow(kinds).join(', ')}.` },
          { key: 'ask-5', kind: 'ask', text: '“And then?”', answer: kinds[0] },
        ],
        right: body,
        harder: [...body, { key: 'do-4', kind: 'do', text: 'Do the same pattern with steps and claps.' }],
      },
      materials: [
        {
          item: 'building-block',
          qty: [...needed.values()].reduce((sum, number) => sum + number, 0),
          use: 'lasting',
          swaps: [
            { item: 'clothes-peg', fit: 0.8, why: `in ${numberName(kinds.length)} colours, along a chair` },
            ...(kinds.length === 2 ? [{ item: 'sock', fit: 0.6, why: 'striped and plain' }] : []),
          ],
        },
      ],
      actions: [],
      printable: { title: 'Pattern row', cards: [], sheets: [picture] },
      key: [`${row.join(', ')}, then ${next}`],
    });
  },
};

/** The shortest row of pieces that, laid again and again, gives the unit as it is written. */
function shortestUnit(unit: readonly string[]): readonly string[] {
  const isRepeated = (length: number) =>
    unit.length % length === 0 && unit.every((name, index) => name === unit[index % length]);
  const length = Array.from({ length: unit.length }, (_, index) => index + 1).find(isRepeated)!;
  return unit.slice(0, length);
}

/** How many pieces of each kind are handled: what is laid, what the task adds to it, and at least what the easier row takes. */
function piecesNeeded({
  laid,
  kinds,
  task,
  mends,
  next,
}: {
  laid: readonly string[];
  kinds: readonly string[];
  task: string;
  mends: string | undefined;
  next: string;
}): Map<string, number> {
  const added =
    task === 'copy it' ? laid : task === 'what comes next' ? [next] : task === 'one is wrong' ? [mends] : [];
  const handled = [...laid, ...added];
  const easier = [...easierRow(kinds), kinds[0]];
  const timesIn = (pieces: readonly (string | undefined)[], kind: string) =>
    pieces.filter((name) => name === kind).length;
  return new Map(kinds.map((kind) => [kind, Math.max(timesIn(handled, kind), timesIn(easier, kind))]));
}

const easierRow = ([first, second]: readonly string[]) => [first!, second!, first!, second!];
