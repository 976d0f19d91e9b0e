import { seededChance } from '../chance.ts';
import { ok } from '../outcome.ts';
import { inColumn, inGrid, inRow, type Drawing } from '../page/drawing.ts';
import { dotFace } from '../page/pieces.ts';
import { numberOf, type Maker } from './maker.ts';
import { count } from './words.ts';

const MOVES = [
  'hop',
  'clap',
  'turn',
  'giant step',
  'frog jump',
  'stamp',
  'tiptoe step',
  'knee tap',
  'star jump',
  'elephant step',
  'finger snap',
  'sideways step',
];

/** Dice and movements: throw, and do so many. */
export const diceMovesMaker: Maker = {
  id: 'dice-moves',
  title: 'Dice moves',
  about: 'A throw says how many, a list says what; with two dice it goes past ten.',
  skills: ['see-how-many', 'movement'],
  dials: [
    { kind: 'number', name: 'dice', label: 'dice', min: 1, max: 2, value: 1 },
    { kind: 'number', name: 'moves', label: 'moves', min: 3, max: 12, value: 6 },
    { kind: 'number', name: 'shuffle', label: 'shuffle', min: 1, max: 99, value: 7 },
  ],
  make(values, settings) {
    const dice = numberOf(values, 'dice');
    const chance = seededChance(numberOf(values, 'shuffle'));
    const moves = shuffled(MOVES, chance).slice(0, numberOf(values, 'moves'));
    const throws = moves.map(() => Array.from({ length: dice }, () => 1 + Math.floor(chance() * 6)));
    const most = dice * 6;
    const row = (index: number): Drawing =>
      inRow(
        [
          ...throws[index]!.map((face) => ({
            ...dotFace(face, 14),
            shapes: [
              {
                kind: 'rect' as const,
                x: 0.5,
                y: 0.5,
                w: 13,
                h: 13,
                radius: 2,
                stroke: 'ink' as const,
                width: 0.4,
                fill: 'white' as const,
              },
              ...dotFace(face, 14).shapes,
            ],
          })),
          { width: 60, height: 14, shapes: [{ kind: 'text', x: 2, y: 10, size: 7, text: `${moves[index]!}s` }] },
        ],
        3,
      );
    const body = [
      { key: 'do-1', kind: 'do' as const, text: 'Clear the floor, and go barefoot. One throws, all do it.' },
      { key: 'say-1', kind: 'say' as const, text: `“The dots say how many, the list says what: ${moves[0]!}!”` },
      {
        key: 'ask-1',
        kind: 'ask' as const,
        text: '“How many dots? Do you see it without counting?”',
        answer: `as many as were thrown, from ${dice} to ${most}`,
      },
      {
        key: 'notice-1',
        kind: 'notice' as const,
        text: 'Do they stop at the number, or when it stops being fun? Both are fine.',
      },
    ];
    return ok({
      facts: [
        `${count(moves.length, 'move')}; a throw gives ${dice} to ${most}.`,
        ...(dice === 1 && settings.pastTen ? ['With two dice it goes past ten.'] : []),
      ],
      picture: inGrid(
        moves.map((_, index) => row(index)),
        2,
        4,
      ),
      lines: {
        easier: [
          body[0]!,
          {
            key: 'do-2',
            kind: 'do',
            text: dice === 1 ? 'Use only the faces one to three: throw again for more.' : 'Throw with one die only.',
          },
        ],
        right: body,
        harder: [
          ...body,
          {
            key: 'say-2',
            kind: 'say',
            text: dice === 2 ? '“Start from the larger die and count on.”' : '“One more than the die says.”',
          },
        ],
      },
      materials: [
        {
          item: 'die',
          qty: dice,
          use: 'lasting',
          swaps: [{ item: 'paper', fit: 0.7, why: 'cards with dots, drawn from a hat' }],
        },
      ],
      actions: ['movement'],
      printable: {
        title: 'Dice moves',
        cards: [],
        sheets: [
          inColumn(
            moves.map((_, index) => row(index)),
            5,
          ),
        ],
      },
      key: moves.map((move, index) => count(sumOf(throws[index]!), move)),
    });
  },
};

const sumOf = (faces: readonly number[]) => faces.reduce((sum, face) => sum + face, 0);

function shuffled<Item>(items: readonly Item[], chance: () => number): Item[] {
  const list = [...items];
  for (let last = list.length - 1; last > 0; last--) {
    const other = Math.floor(chance() * (last + 1));
    [list[last], list[other]] = [list[other]!, list[last]!];
  }
  return list;
}
