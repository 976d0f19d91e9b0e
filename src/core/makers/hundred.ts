import { counters } from '../page/pieces.ts';
import { inGrid } from '../page/drawing.ts';
import { count } from './words.ts';
import { ok } from '../outcome.ts';
import { type Maker, numberOf } from './maker.ts';

/** A heap counted by tens. */
export const hundredMaker: Maker = {
  id: 'hundred-hunt',
  title: 'Hunt for a hundred',
  about: 'A heap from the kitchen, counted by making tens; the guess comes first.',
  skills: ['tens-ones', 'how-many'],
  dials: [
    { kind: 'number', name: 'number', label: 'things found', min: 1, max: 130, value: 87 },
    { kind: 'number', name: 'guess', label: 'the guess', min: 0, max: 200, value: 60 },
  ],
  make(values) {
    const number = numberOf(values, 'number');
    const guess = numberOf(values, 'guess');
    const tens = Math.floor(number / 10);
    const left = number % 10;
    const off = Math.abs(number - guess);
    const body = [
      {
        key: 'do-3',
        kind: 'do' as const,
        text: `Tip out a heap of ${number}. Write the guess down before anything is counted.`,
      },
      { key: 'do-4', kind: 'do' as const, text: 'Make heaps of ten on plates.' },
      {
        key: 'ask-6',
        kind: 'ask' as const,
        text: '“How many full plates? How many left over?”',
        answer: `${tens} and ${left}: ${number}`,
      },
      {
        key: 'ask-7',
        kind: 'ask' as const,
        text: '“How far was the guess?”',
        answer: `the difference between it and ${number}`,
      },
    ];
    return ok({
      facts: [
        `${count(tens, 'ten')} and ${left}; ${number >= 100 ? 'a hundred is reached' : `${100 - number} to a hundred`}. A guess of ${guess} is ${off === 0 ? 'right on it' : `${off} ${guess > number ? 'too many' : 'too few'}`}.`,
      ],
      picture: inGrid(
        Array.from({ length: tens + (left > 0 ? 1 : 0) }, (_, index) =>
          counters(index < tens ? 10 : left, { size: 3, perRow: 5, ink: index < tens ? 'teal' : 'marigold' }),
        ),
        6,
        5,
      ),
      lines: {
        easier: [
          { key: 'do-5', kind: 'do', text: 'Stop at two plates of ten.' },
          { ...body[2]!, answer: number > 20 ? '2 and 0: 20' : body[2]!.answer },
        ],
        right: body,
        harder: [
          ...body,
          {
            key: 'ask-8',
            kind: 'ask',
            text: '“How many more to a hundred?”',
            answer: number >= 100 ? 'none: it is there' : String(100 - number),
          },
        ],
      },
      materials: [
        {
          item: 'dried-bean',
          qty: number,
          use: 'lasting',
          swaps: [{ item: 'pasta-shape', fit: 0.9, why: 'easier to hold' }],
        },
        { item: 'plate', qty: tens + 1, use: 'lasting', swaps: [] },
      ],
      actions: [],
      printable: { title: 'Hunt for a hundred', cards: [], sheets: [] },
      key: [`${tens} tens and ${left}`],
    });
  },
};
