import type { Message, MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { inRow, regularShape } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, usedUp } from '../../core/makers/index.ts';

/** Sides of each shape; a circle has none. */
const SIDES: Readonly<Record<string, number>> = {
  circle: 0,
  triangle: 3,
  square: 4,
  pentagon: 5,
  hexagon: 6,
  octagon: 8,
};
const names = Object.keys(SIDES);

const named = (shape: string): Message => ({ key: `shapes/shape.${shape}` });

/** A shape felt in a bag, its corners counted, found in the room, built from sticks, and drawn last. */
export const maker: Maker = {
  id: 'shapes',
  place: 280,
  skills: ['shapes', 'same-different'],
  run: { wayOut: ['do', 'do'] },
  dials: [
    { kind: 'choice', name: 'shape', choices: names, value: 'triangle' },
    { kind: 'choice', name: 'other', choices: names, value: 'square' },
  ],
  make(values, _settings, say) {
    const shape = String(values.shape);
    const other =
      String(values.other) === shape ? names[(names.indexOf(shape) + 1) % names.length]! : String(values.other);
    const sides = SIDES[shape]!;
    const otherSides = SIDES[other]!;
    const facts: MessageValues = {
      shape: named(shape),
      other: named(other),
      sides,
      otherSides,
      more: Math.abs(sides - otherSides),
      most: sides === otherSides ? 'same' : sides > otherSides ? 'first' : 'other',
      round: sides === 0 ? 'yes' : 'no',
      otherRound: otherSides === 0 ? 'yes' : 'no',
      oneMore: sides + 1,
      both: sides + otherSides,
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: 5, seconds: 45 },
      picture: inRow([regularShape(sides, 50, 'teal'), regularShape(otherSides, 50, 'marigold')], 8),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'say-1', 'ask-2', 'do-3', 'do-4', 'notice-1'),
        harder: write('do-1', 'ask-2', 'ask-3', 'do-5', 'ask-4'),
      },
      materials: [
        usedUp('paper', 1),
        lasting('scissors', 1),
        lasting('pillowcase', 1, [{ item: 'carrier-bag', fit: 0.9, why: say('swap.carrier-bag') }]),
        ...(sides + otherSides > 0
          ? [
              lasting('lolly-stick', Math.max(sides + otherSides, sides + 1), [
                { item: 'drinking-straw', fit: 0.9, why: say('swap.drinking-straw') },
              ]),
            ]
          : []),
        ...(sides === 0 || otherSides === 0
          ? [lasting('string', 1, [{ item: 'wool', fit: 1, why: say('swap.wool') }])]
          : []),
      ],
      actions: ['scissors'],
      printable: {
        title: say('printable'),
        cards: [regularShape(sides, 80), regularShape(otherSides, 80)],
        sheets: [],
      },
      key: [say('key', facts)],
    });
  },
};
