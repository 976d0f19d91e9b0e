import { pairCards } from '../numbers/pairs.ts';
import { good } from '../outcome.ts';
import { inGrid, moved, type Drawing, type Ink, type Shape } from '../page/drawing.ts';
import { dotFace } from '../page/pieces.ts';
import { CAP_HEIGHT } from '../page/text.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count, listWords } from './words.ts';

const CARD = { width: 90, height: 50 };

const MOST_CARDS = 120;

/** A card with two parts: dots as on a die, or numerals in two inks, each with a mark of its own. */
export function pairCard([first, second]: readonly [number, number], asSigns: boolean): Drawing {
  const half = CARD.width / 2;
  const side = (value: number, x: number, ink: Ink): Shape[] => {
    if (!asSigns) {
      const scale = value > 6 ? 22 : 44;
      const face = dotFace(value, scale, ink);
      return moved(face.shapes, x + (half - face.width) / 2, (CARD.height - face.height) / 2);
    }
    const mark: Shape =
      ink === 'teal'
        ? { kind: 'rect', x: x + half / 2 - 6, y: 42, w: 12, h: 2, fill: ink }
        : { kind: 'circle', x: x + half / 2, y: 43, r: 1.6, fill: ink };
    return [
      {
        kind: 'text',
        x: x + half / 2,
        y: 22 + (26 * CAP_HEIGHT) / 2,
        size: 26,
        text: String(value),
        align: 'middle',
        fill: ink,
      },
      mark,
    ];
  };
  return {
    ...CARD,
    shapes: [
      ...side(first, 0, 'teal'),
      { kind: 'line', x1: half, y1: 6, x2: half, y2: CARD.height - 6, stroke: 'line', width: 0.4 },
      ...side(second, half, 'mulberry'),
    ],
  };
}

/** Cards with two parts: all up to a highest total, all of two numbers, or all pairs of one total. */
export const pairCardsMaker: Maker = {
  id: 'pair-cards',
  title: 'Pair cards',
  about: 'Two parts on a card; all pairs of a total, none twice and none missing.',
  skills: ['parts-whole', 'see-how-many'],
  dials: [
    {
      kind: 'choice',
      name: 'set',
      label: 'cards',
      choices: ['all pairs of one total', 'all up to a total', 'a chain'],
      value: 'all pairs of one total',
    },
    { kind: 'number', name: 'total', label: 'total', min: 1, max: 12, value: 5 },
    { kind: 'choice', name: 'order', label: '2 and 3 beside 3 and 2', choices: ['both', 'once'], value: 'both' },
    { kind: 'choice', name: 'zero', label: 'with zero', choices: ['yes', 'no'], value: 'yes' },
    { kind: 'choice', name: 'faces', label: 'faces', choices: ['dots', 'numerals'], value: 'dots' },
  ],
  make(values, settings) {
    const total = numberOf(values, 'total');
    const ordered = values.order === 'both';
    const asSigns = values.faces === 'numerals';
    if (asSigns && settings.stage === 'objects')
      return refuse('this programme goes from things to pictures to signs and stands at things: take dots');
    const all =
      values.set === 'a chain'
        ? chain(total)
        : pairCards({
            max: total,
            ordered: values.set === 'all up to a total' ? ordered : ordered,
            ...(values.set === 'all pairs of one total' && { total }),
          }).pairs.filter(([a, b]) => a + b <= total);
    const pairs = values.zero === 'yes' ? all : all.filter(([a, b]) => a > 0 && b > 0);
    if (pairs.length === 0) return refuse(`there is no pair of ${total} without a zero`);
    if (pairs.length > MOST_CARDS)
      return refuse(
        `that makes ${pairs.length} cards, more than the ${MOST_CARDS} one would cut; take a smaller total`,
      );
    const [first] = pairs;
    const body = [
      { kind: 'do' as const, text: `Lay ${count(pairs.length, 'card')} out, dots up.` },
      {
        kind: 'ask' as const,
        text: '“How many are there together on this one?”',
        answer: `${first![0]} and ${first![1]}: ${first![0] + first![1]}`,
      },
      {
        kind: 'say' as const,
        text: `“Find me another that makes ${values.set === 'all pairs of one total' ? total : first![0] + first![1]}.”`,
      },
      { kind: 'do' as const, text: 'Put your hand over one half.' },
      {
        kind: 'ask' as const,
        text: `“${total} in all. What is under my hand?”`,
        answer: 'the whole less what is seen',
      },
    ];
    return good({
      facts: [
        `${count(pairs.length, 'card')}: ${listWords(pairs.slice(0, 14).map(([a, b]) => `${a}+${b}`))}${pairs.length > 14 ? ' …' : ''}.`,
      ],
      picture: inGrid(
        pairs.slice(0, 12).map((pair) => framed(pairCard(pair, asSigns))),
        3,
        4,
      ),
      lines: {
        easier: [{ kind: 'do', text: 'Use real things: so many in one hand, so many in the other.' }, body[1]!],
        right: body,
        harder: [
          ...body.slice(3),
          {
            kind: 'ask',
            text: `“How many ways are there to make ${total}?”`,
            answer: `${total + 1} with zero, when the order counts`,
          },
        ],
      },
      materials: [
        {
          item: 'paper',
          qty: Math.ceil(pairs.length / 8),
          use: 'used-up',
          swaps: [{ item: 'domino', fit: 0.8, why: 'dominoes are pair cards, to 6 and 6' }],
        },
        { item: 'scissors', qty: 1, use: 'lasting', swaps: [] },
      ],
      actions: ['scissors'],
      printable: { title: 'Pair cards', cards: pairs.map((pair) => pairCard(pair, asSigns)), sheets: [] },
      key: pairs.map(([a, b]) => `${a} and ${b}: ${a + b}`),
    });
  },
};

/** A chain in which each card starts with what the one before ended with: 0 1, 1 2, … */
function chain(total: number): [number, number][] {
  return Array.from({ length: total }, (_, index) => [index, index + 1] as [number, number]).filter(
    ([a, b]) => a + b <= total * 2,
  );
}

function framed(drawing: Drawing): Drawing {
  return {
    ...drawing,
    shapes: [
      {
        kind: 'rect',
        x: 0,
        y: 0,
        w: drawing.width,
        h: drawing.height,
        stroke: 'line',
        width: 0.4,
        radius: 2,
        fill: 'white',
      },
      ...drawing.shapes,
    ],
  };
}
