import { ok } from '../outcome.ts';
import { counters } from '../page/pieces.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count } from './words.ts';

/** A handful guessed and counted. */
export const guessMaker: Maker = {
  id: 'guess-and-count',
  title: 'Guess and count',
  about: 'A handful under a cloth: guess, look again, count, and see how near it was.',
  skills: ['how-many', 'compare'],
  dials: [
    { kind: 'number', name: 'number', label: 'under the cloth', min: 1, max: 40, value: 14 },
    { kind: 'number', name: 'near', label: 'near enough, either way', min: 0, max: 10, value: 2 },
  ],
  make(values) {
    const number = numberOf(values, 'number');
    const near = numberOf(values, 'near');
    if (near >= number)
      return refuse(
        `with ${near} either way every guess from ${Math.max(0, number - near)} to ${number + near} would be near; take a smaller span than ${number}`,
      );
    const taken = Math.ceil(number / 4);
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Put ${count(number, 'thing')} under a cloth. Lift it while you both say “one hippo”.`,
      },
      { key: 'ask-1', kind: 'ask' as const, text: '“How many do you think?”', answer: 'any number; write it down' },
      { key: 'do-2', kind: 'do' as const, text: 'Lift it again for as long; they may change the guess.' },
      {
        key: 'ask-2',
        kind: 'ask' as const,
        text: '“Count them. Was it near?”',
        answer:
          near === 0
            ? `${number}, and only that is near`
            : `${number}; from ${number - near} to ${number + near} is near`,
      },
    ];
    return ok({
      facts: [near === 0 ? `Near is ${number} itself.` : `Near is ${number - near} to ${number + near}.`],
      picture: counters(number, { size: 7, perRow: 10 }),
      lines: {
        easier: [
          { key: 'do-3', kind: 'do', text: 'Use at most four things: they can be seen without counting.' },
          ...body.slice(1, 2),
        ],
        right: body,
        harder: [
          ...body,
          { key: 'do-4', kind: 'do', text: `Take ${taken} away behind your back, and cover the rest.` },
          {
            key: 'ask-3',
            kind: 'ask',
            text: '“I took some. How many are under the cloth now?”',
            answer: `${number} less ${taken}: ${number - taken}`,
          },
        ],
      },
      materials: [
        {
          item: 'bottle-lid',
          qty: number,
          use: 'lasting',
          swaps: [{ item: 'clothes-peg', fit: 0.9, why: 'all alike, and easy to count' }],
        },
        { item: 'tea-towel', qty: 1, use: 'lasting', swaps: [] },
      ],
      actions: [],
      printable: { title: 'Guess and count', cards: [], sheets: [] },
      key: [`${number}`],
    });
  },
};
