import { ok } from '../outcome.ts';
import { inGrid, type Drawing, type Shape } from '../page/drawing.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count, listWords } from './words.ts';

/** A table laid for everybody, and how many more are needed. */
export const placeSettingsMaker: Maker = {
  id: 'place-settings',
  title: 'Place settings',
  about: 'One of everything for each; how many more, and one too few on purpose.',
  skills: ['match', 'how-many'],
  dials: [
    { kind: 'number', name: 'people', label: 'people', min: 2, max: 12, value: 4 },
    { kind: 'number', name: 'things', label: 'things for each', min: 1, max: 4, value: 3 },
    { kind: 'number', name: 'placed', label: 'cups that stand already', min: 0, max: 12, value: 1 },
  ],
  make(values) {
    const people = numberOf(values, 'people');
    const things = numberOf(values, 'things');
    const placed = numberOf(values, 'placed');
    if (placed > people)
      return refuse(
        `${count(placed, 'cup')} for ${count(people, 'person', 'people')} leaves nothing to find out; at most ${people} can stand already`,
      );
    const names = ['cup', 'plate', 'spoon', 'napkin'].slice(0, things);
    const items = ['cup', 'plate', 'spoon', 'paper-napkin'].slice(0, things);
    const last = names.at(-1)!;
    const more = people - placed;
    const fetched = names.flatMap((name) => {
      const number = name === 'cup' ? more : people;
      return number > 0 ? [count(number, name)] : [];
    });
    const chain = Array.from({ length: more }, (_, step) => ({
      key: 'ask-1',
      kind: 'ask' as const,
      text: `“${placed + step === 0 ? 'No cup stands there yet' : count(placed + step, 'cup stands there', 'cups stand there')}. How many more?”`,
      answer: String(more - step),
    }));
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Set ${count(people, 'chair or cushion', 'chairs or cushions')}.${placed > 0 ? ` Put ${count(placed, 'cup')} on the table.` : ''}${fetched.length > 0 ? ` Have ${listWords(fetched)} within reach.` : ''}`,
      },
      { key: 'say-1', kind: 'say' as const, text: '“Everybody gets one of everything.”' },
      ...chain.slice(0, 3),
      { key: 'notice-1', kind: 'notice' as const, text: 'Do they fetch one at a time, or the right number at once?' },
    ];
    return ok({
      facts: [
        `${people} × ${things} = ${people * things} things; ${more === 0 ? 'no cup is missing' : `${count(more, 'more cup')} to fetch`}.`,
      ],
      picture: inGrid(
        Array.from({ length: people }, (_, person): Drawing => {
          const shapes: Shape[] = [{ kind: 'rect', x: 1, y: 1, w: 34, h: 26, stroke: 'line', width: 0.4, radius: 2 }];
          if (things > 1) shapes.push({ kind: 'circle', x: 18, y: 15, r: 9, stroke: 'ink', width: 0.5, fill: 'white' });
          if (things > 2) shapes.push({ kind: 'line', x1: 31, y1: 6, x2: 31, y2: 23, stroke: 'ink', width: 1.2 });
          if (things > 3)
            shapes.push({ kind: 'rect', x: 3, y: 8, w: 5, h: 14, fill: 'pale', stroke: 'soft', width: 0.3 });
          const isPlaced = person < placed;
          shapes.push({
            kind: 'circle',
            x: 28,
            y: 6,
            r: 4,
            stroke: 'teal',
            width: 0.7,
            fill: isPlaced ? 'teal' : undefined,
            isDashed: !isPlaced,
          });
          return { width: 38, height: 30, shapes };
        }),
        4,
        3,
      ),
      lines: {
        easier: [
          {
            key: 'do-2',
            kind: 'do',
            text:
              things > 1
                ? 'Put a plate at each place yourself. Your child puts one cup on each.'
                : 'Tap each place in turn. Your child puts one cup there.',
          },
          ...body.slice(1, 2),
        ],
        right: body,
        harder: [
          ...body.slice(0, 2),
          {
            key: 'do-3',
            kind: 'do',
            text: `Take one ${last} away without a word: ${count(people - 1, last)} for ${people}.`,
          },
          { key: 'ask-2', kind: 'ask', text: '“Has everybody got one?”', answer: 'no: one place has none' },
        ],
      },
      materials: [
        ...items.map((item) => ({ item, qty: people, use: 'lasting' as const, swaps: [] })),
        {
          item: 'chair',
          qty: people,
          use: 'lasting' as const,
          swaps: [{ item: 'cushion', fit: 0.9, why: 'a table on the floor' }],
        },
      ],
      actions: [],
      printable: { title: 'Place mats', cards: [], sheets: [] },
      key:
        chain.length > 0
          ? chain.map(({ text, answer }) => `${text.replace(/[“”]/g, '')} ${answer}`)
          : ['everybody has one'],
    });
  },
};
