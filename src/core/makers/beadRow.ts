import { ok } from '../outcome.ts';
import { numberName, count, listWords } from './words.ts';
import type { Shape, Drawing } from '../page/drawing.ts';
import { type Maker, numberOf } from './maker.ts';

/** A row of a hundred beads in tens of two inks, and a number shown on it. */
export const beadRowMaker: Maker = {
  id: 'bead-row',
  title: 'Bead row to 100',
  about: 'Tens in two colours: any number is so many tens and so many more.',
  skills: ['tens-ones', 'steps'],
  dials: [
    { kind: 'number', name: 'number', label: 'number', min: 0, max: 100, value: 34 },
    { kind: 'choice', name: 'step', label: 'steps of', choices: ['2', '5', '10'], value: '10' },
  ],
  make(values) {
    const number = numberOf(values, 'number');
    const step = Number(values.step);
    const tens = Math.floor(number / 10);
    const ones = number % 10;
    const landing = Array.from({ length: Math.floor(number / step) }, (_, index) => (index + 1) * step);
    const lands = number > 0 && number % step === 0;
    const beads: Shape[] = Array.from({ length: 100 }, (_, index): Shape => {
      const row = Math.floor(index / 50);
      const isOn = index < number;
      return {
        kind: 'circle',
        x: 2.2 + (index % 50) * 3.9 + Math.floor((index % 50) / 10) * 1.4,
        y: 4 + row * 10,
        r: 1.8,
        fill: isOn ? (Math.floor(index / 10) % 2 ? 'marigold' : 'teal') : 'white',
        stroke: 'soft',
        width: 0.25,
      };
    });
    const picture: Drawing = { width: 206, height: 20, shapes: beads };
    const body = [
      { key: 'do-1', kind: 'do' as const, text: 'Thread or lay beads in tens, two colours in turn.' },
      {
        key: 'ask-1',
        kind: 'ask' as const,
        text: `“Show me ${numberName(number)}.”`,
        answer: `${count(tens, 'ten')} and ${ones}`,
      },
      {
        key: 'ask-2',
        kind: 'ask' as const,
        text: '“How many whole tens? How many more?”',
        answer: `${tens}, and ${ones}`,
      },
      {
        key: 'ask-3',
        kind: 'ask' as const,
        text: `“Jump in steps of ${step}. Do we land on it?”`,
        answer: lands
          ? `yes, after ${count(number / step, 'jump')}`
          : number === 0
            ? 'there is nothing to jump to'
            : landing.length === 0
              ? 'no: the first jump goes past it'
              : `no: ${landing.at(-1)!} and ${number - landing.at(-1)!} more`,
      },
    ];
    return ok({
      facts: [
        `${number} is ${numberName(number)}: ${count(tens, 'ten')} and ${count(ones, 'one')}.`,
        `Steps of ${step}: ${lands ? `${number / step} jumps land on it` : 'they do not land on it'}; steps that do: ${listWords([2, 5, 10].filter((size) => number > 0 && number % size === 0)) || 'none of 2, 5, 10'}.`,
      ],
      picture,
      lines: {
        easier: [
          { key: 'do-2', kind: 'do', text: 'Use the first ten only.' },
          {
            key: 'ask-4',
            kind: 'ask',
            text: `“Show me ${Math.min(10, number)}.”`,
            answer: String(Math.min(10, number)),
          },
        ],
        right: body,
        harder: [
          ...body,
          { key: 'ask-5', kind: 'ask', text: `“And how many more to a hundred?”`, answer: String(100 - number) },
        ],
      },
      materials: [
        {
          item: 'pasta-shape',
          qty: 100,
          use: 'lasting',
          swaps: [{ item: 'building-block', fit: 0.5, why: 'a home has about twenty: build one ten after the other' }],
        },
        { item: 'string', qty: 1, use: 'lasting', swaps: [] },
      ],
      actions: ['cords'],
      printable: {
        title: 'Bead row',
        cards: [],
        sheets: [
          {
            ...picture,
            width: 186,
            shapes: picture.shapes.map((shape) =>
              shape.kind === 'circle' ? { ...shape, x: shape.x * 0.9, r: shape.r * 0.9 } : shape,
            ),
          },
        ],
      },
      key: [`${number}: ${tens} tens, ${ones} ones`],
    });
  },
};
