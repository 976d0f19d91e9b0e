import type { MakerLine } from './makerOutput.ts';
import { pairCards } from '../numbers/pairs.ts';
import { ok } from '../outcome.ts';
import { inGrid, moved, type Drawing, type Ink, type Shape } from '../page/drawing.ts';
import { dotFace, wordCard } from '../page/pieces.ts';
import { CAP_HEIGHT } from '../page/text.ts';
import { sheetsNeeded } from './makerPages.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count, listWords } from './words.ts';

type Pair = readonly [number, number];

const DIE = 45;
const CARD_HEIGHT = 50;
const NUMERAL = 26;

const MOST_CARDS = 120;

/** How all cards of a set look: their width in mm, and dots or numerals. */
interface CardFace {
  readonly width: number;
  readonly asSigns: boolean;
}

/** A card takes a die face in each half; where a part is over six every card is twice as wide, so that dots stay as large. */
function faceFor(pairs: readonly Pair[], asSigns: boolean): CardFace {
  const isWide = !asSigns && pairs.some((pair) => Math.max(...pair) > 6);
  return { width: isWide ? 4 * DIE : 2 * DIE, asSigns };
}

/** A card with two parts: dots as on a die, or numerals in two inks, each with a mark of its own. */
function pairCard([first, second]: Pair, { width, asSigns }: CardFace): Drawing {
  const half = width / 2;
  const dots = (value: number, x: number, ink: Ink): Shape[] => {
    const face = dotFace(value, DIE, ink);
    return moved(face.shapes, x + (half - face.width) / 2, (CARD_HEIGHT - face.height) / 2);
  };
  const numeral = (value: number, x: number, ink: Ink): Shape[] => [
    {
      kind: 'text',
      x: x + half / 2,
      y: 22 + (NUMERAL * CAP_HEIGHT) / 2,
      size: NUMERAL,
      text: String(value),
      align: 'middle',
      fill: ink,
    },
    ink === 'teal'
      ? { kind: 'rect', x: x + half / 2 - 6, y: 42, w: 12, h: 2, fill: ink }
      : { kind: 'circle', x: x + half / 2, y: 43, r: 1.6, fill: ink },
  ];
  const side = asSigns ? numeral : dots;
  return {
    width,
    height: CARD_HEIGHT,
    shapes: [
      ...side(first, 0, 'teal'),
      { kind: 'line', x1: half, y1: 6, x2: half, y2: CARD_HEIGHT - 6, stroke: 'line', width: 0.4 },
      ...side(second, half, 'mulberry'),
    ],
  };
}

/** The back of a card: both parts together, in the way of its front. */
function totalBack([first, second]: Pair, { width, asSigns }: CardFace): Drawing {
  if (asSigns) return wordCard(String(first + second), { width, height: CARD_HEIGHT, most: NUMERAL });
  const face = dotFace(first + second, Math.min(DIE, width / 2));
  return {
    width,
    height: CARD_HEIGHT,
    shapes: moved(face.shapes, (width - face.width) / 2, (CARD_HEIGHT - face.height) / 2),
  };
}

/** Cards with two parts: all up to a highest total, all of one total, or a chain. */
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
    { kind: 'choice', name: 'back', label: 'on the back', choices: ['nothing', 'the total'], value: 'nothing' },
  ],
  make(values, settings) {
    const total = numberOf(values, 'total');
    const isChain = values.set === 'a chain';
    const asSigns = values.faces === 'numerals';
    const hasBacks = values.back === 'the total';
    if (asSigns && settings.stage === 'objects')
      return refuse('this programme goes from things to pictures to signs and stands at things: take dots');
    if (isChain && hasBacks)
      return refuse('a chain checks itself, since each card begins as the one before ends: leave the backs empty');
    const all = isChain ? chain(total) : pairsFor(total, values);
    const pairs = values.zero === 'yes' ? all : all.filter(([a, b]) => a > 0 && b > 0);
    if (pairs.length === 0) return refuse(`there is no pair of ${total} without a zero`);
    if (isChain && pairs.length === 1) return refuse('a chain of one card joins nothing; take a larger total');
    if (pairs.length > MOST_CARDS)
      return refuse(
        `that makes ${pairs.length} cards, more than the ${MOST_CARDS} one would cut; take a smaller total`,
      );
    const face = faceFor(pairs, asSigns);
    const cards = pairs.map((pair) => pairCard(pair, face));
    const printable = { title: 'Pair cards', cards, sheets: [] };
    const lay: MakerLine = {
      key: 'do-1',
      kind: 'do',
      text: `Lay ${count(pairs.length, 'card')} out, ${asSigns ? 'numerals' : 'dots'} up.`,
    };
    return ok({
      facts: [
        `${count(pairs.length, 'card')}: ${listWords(pairs.slice(0, 14).map(([a, b]) => `${a}+${b}`))}${pairs.length > 14 ? ' …' : ''}.`,
        ...(hasBacks
          ? ['Print on both sides, turned over the long edge: each card then has its total behind it.']
          : []),
      ],
      picture: inGrid(cards.slice(0, 12).map(framed), face.width > 2 * DIE ? 2 : 3, 4),
      lines: isChain ? chainLines(pairs, lay) : totalLines(pairs, { lay, hasBacks, values }),
      materials: [
        {
          item: 'paper',
          qty: sheetsNeeded(printable),
          use: 'used-up',
          swaps: [{ item: 'domino', fit: 0.8, why: 'dominoes are pair cards, to 6 and 6' }],
        },
        { item: 'scissors', qty: 1, use: 'lasting', swaps: [] },
      ],
      actions: ['scissors'],
      printable: { ...printable, ...(hasBacks && { backs: pairs.map((pair) => totalBack(pair, face)) }) },
      key: pairs.map(([a, b]) => `${a} and ${b}: ${a + b}`),
    });
  },
};

function pairsFor(total: number, { set, order }: Readonly<Record<string, number | string>>): Pair[] {
  const isOneTotal = set === 'all pairs of one total';
  return pairCards({ max: total, ordered: order === 'both', ...(isOneTotal && { total }) }).pairs.filter(
    ([a, b]) => a + b <= total,
  );
}

/** A chain in which each card begins with what the one before ended with: 0 1, 1 2, … */
function chain(last: number): Pair[] {
  return Array.from({ length: last }, (_, index) => [index, index + 1] as const);
}

type Lines = Readonly<Record<'easier' | 'right' | 'harder', readonly MakerLine[]>>;

/** The easier way in: real things, so few that each hand is seen at a glance. */
function realThings([one, other]: Pair): MakerLine[] {
  const [inOne, inOther] = [Math.min(3, one), Math.min(2, other)];
  return [
    {
      key: 'do-2',
      kind: 'do',
      text: `Leave the cards. Take ${count(inOne, 'thing')} in one hand and ${inOther} in the other, and open both.`,
    },
    { key: 'ask-8', kind: 'ask', text: '“How many are there together?”', answer: String(inOne + inOther) },
  ];
}

/** Lines about a total that most cards of the set share, shown on a card of it whose parts are as even as can be. */
function totalLines(
  pairs: readonly Pair[],
  { lay, hasBacks, values }: { lay: MakerLine; hasBacks: boolean; values: Readonly<Record<string, number | string>> },
): Lines {
  const byTotal = new Map<number, Pair[]>();
  for (const pair of pairs) byTotal.set(pair[0] + pair[1], [...(byTotal.get(pair[0] + pair[1]) ?? []), pair]);
  const [total, same] = [...byTotal].reduce((best, entry) => (entry[1].length >= best[1].length ? entry : best));
  const shown = same[Math.floor((same.length - 1) / 2)]!;
  const others = same.filter((pair) => pair !== shown);
  const ask: MakerLine = {
    key: 'ask-1',
    kind: 'ask',
    text: `“How many are there together on the card with ${shown[0]} and ${shown[1]}?”`,
    answer: String(total),
  };
  const hidden: MakerLine[] = [
    { key: 'do-3', kind: 'do', text: `Put your hand over the half with ${shown[1]}.` },
    { key: 'ask-2', kind: 'ask', text: `“${total} in all. What is under my hand?”`, answer: String(shown[1]) },
  ];
  const right: MakerLine[] = [
    lay,
    ask,
    ...(hasBacks ? [{ key: 'do-4', kind: 'do', text: 'Turn it over: is that what you both said?' } as const] : []),
    ...(others.length > 0
      ? [
          {
            key: 'ask-3',
            kind: 'ask',
            text: `“Find me another that makes ${total}.”`,
            answer: others.map(([a, b]) => `${a} and ${b}`).join('; '),
          } as const,
        ]
      : []),
    ...hidden,
    { key: 'notice-1', kind: 'notice', text: 'Do they count both halves from one, or on from the larger?' },
  ];
  return {
    easier: realThings(shown),
    right,
    harder: [
      lay,
      ...hidden,
      {
        key: 'ask-4',
        kind: 'ask',
        text: `“How many cards make ${total}?”`,
        answer: `${same.length}: ${values.zero === 'yes' ? 'with' : 'without'} zero, ${values.order === 'both' ? 'either part first' : 'each pair once'}`,
      },
    ],
  };
}

function chainLines(pairs: readonly Pair[], lay: MakerLine): Lines {
  const [first, second] = pairs as readonly [Pair, Pair, ...Pair[]];
  const last = pairs.at(-1)!;
  const begin: MakerLine = { key: 'do-5', kind: 'do', text: `Put the card with ${first[0]} and ${first[1]} down.` };
  const join: MakerLine = {
    key: 'ask-5',
    kind: 'ask',
    text: '“Which card goes on? It begins as this one ends.”',
    answer: `${second[0]} and ${second[1]}`,
  };
  return {
    easier: [
      { key: 'do-6', kind: 'do', text: `Take two cards: ${first.join(' and ')}, and ${second.join(' and ')}.` },
      begin,
      join,
    ],
    right: [
      lay,
      begin,
      join,
      { key: 'do-7', kind: 'do', text: 'Go on in turn, until no card is left.' },
      { key: 'ask-6', kind: 'ask', text: '“How many cards long is it?”', answer: String(pairs.length) },
    ],
    harder: [
      lay,
      { key: 'do-8', kind: 'do', text: `Build it backwards, from the card with ${last[0]} and ${last[1]}.` },
      { key: 'ask-7', kind: 'ask', text: '“Which card goes before it?”', answer: pairs.at(-2)!.join(' and ') },
    ],
  };
}

function framed(drawing: Drawing): Drawing {
  const { width, height } = drawing;
  return {
    ...drawing,
    shapes: [
      { kind: 'rect', x: 0, y: 0, w: width, h: height, stroke: 'line', width: 0.4, radius: 2, fill: 'white' },
      ...drawing.shapes,
    ],
  };
}
