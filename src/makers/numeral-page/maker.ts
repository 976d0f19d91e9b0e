import type { MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { counters, type Drawing, inColumn, inRow, tallyMarks, tracedNumeral, wordCard } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, refuse, usedUp } from '../../core/makers/index.ts';

/** What it is made in first, and the name that sentences choose by. */
const WAYS: Readonly<Record<string, string>> = {
  'in-dough': 'dough',
  'in-the-air': 'air',
  'in-flour': 'flour',
  'with-a-pencil': 'pencil',
};

/** A numeral with its strokes, and its quantity as things, fingers, tally and word. */
export const maker: Maker = {
  id: 'numeral-page',
  place: 50,
  skills: ['numeral-quantity', 'touch-count'],
  dials: [
    { kind: 'number', name: 'numeral', min: 0, max: 20, value: 3 },
    {
      kind: 'choice',
      name: 'written',
      choices: Object.keys(WAYS),
      value: 'in-dough',
    },
  ],
  make(values, settings, say) {
    const numeral = numberOf(values, 'numeral');
    if (numeral === 0 && !settings.zeroEarly) return refuse('problem.zero-late');
    const written = String(values.written);
    const digits = [...String(numeral)].map(Number);
    const hands = Math.ceil(numeral / 5);
    const facts: MessageValues = {
      numeral,
      written: WAYS[written]!,
      fives: Math.floor(numeral / 5),
      rest: numeral % 5,
      hands,
      next: numeral + 1,
      digits: digits.length,
      strokes: { key: `numeral-page/strokes.${digits[0]!}` },
      second: digits.length > 1 ? { key: `numeral-page/strokes.${digits[1]!}` } : '',
      fingers: Math.min(10, numeral),
    };
    const write = linesAbout(say, facts);
    const trace = write('do-1', 'say-1');
    const page = numeralSheet(numeral, say('word', { numeral }));
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: 6, seconds: 30 },
      picture: inRow([tracedNumeral(numeral, 50), counters(Math.max(0, numeral), { size: 7, perRow: 5 })], 10),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: [...trace, ...write('do-3', 'ask-1', 'ask-2', 'if-1', 'notice-1')],
        harder: [...trace, ...write('do-4', 'do-5', 'ask-3', 'if-1')],
      },
      materials: [
        ...(written === 'in-flour' ? [usedUp('flour', 1), lasting('baking-tray', 1)] : []),
        ...(written === 'in-dough'
          ? [lasting('wool', 1, [{ item: 'string', fit: 0.9, why: say('swap.string') }])]
          : []),
        lasting('pencil', 1, [{ item: 'crayon', fit: 0.9, why: say('swap.crayon') }]),
        lasting('bottle-lid', Math.max(1, numeral), [
          { item: 'building-block', fit: 0.9, why: say('swap.building-block') },
        ]),
        usedUp('paper', 1),
      ],
      actions: [],
      printable: { title: say('printable'), cards: [], sheets: [page] },
      key: [say('key', facts)],
    });
  },
};

/** The numeral to trace, small ones to write, its things, its strokes of a tally and its word. */
function numeralSheet(numeral: number, word: string): Drawing {
  return inColumn(
    [
      inRow([tracedNumeral(numeral, 90), counters(numeral, { size: 12, perRow: 5 })], 12),
      inRow(
        Array.from({ length: 4 }, () => tracedNumeral(numeral, 28)),
        6,
      ),
      inRow([tallyMarks(numeral), wordCard(word, { width: 70, height: 20, most: 14 })], 8),
    ],
    10,
  );
}
