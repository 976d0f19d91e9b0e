import { listOf, type Message, type MessageValues, type Say } from '../../core/message.ts';
import { longestChain, pairCards } from '../../core/numbers/index.ts';
import { ok } from '../../core/outcome.ts';
import {
  CAP_HEIGHT,
  dotFace,
  type Drawing,
  fittingCard,
  framedCard,
  inGrid,
  type Ink,
  moved,
  type Shape,
  wordCard,
} from '../../core/page/index.ts';
import type { MakerSettings, MakerValues } from '../../core/session/index.ts';
import {
  lasting,
  linesAbout,
  lineWriters,
  type Maker,
  type MakerLine,
  type MakerOutput,
  numberOf,
  refuse,
  sheetsNeeded,
  usedUp,
} from '../../core/makers/index.ts';

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
function faceFor(pairs: readonly Pair[], { faces, back }: MakerValues): CardFace {
  const asSigns = faces === 'numerals';
  const isWide = (!asSigns || back === 'the-dots') && pairs.some((pair) => Math.max(...pair) > 6);
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

const PIECE_WIDTH = 30;

/** A card with its total beside it, cut off along the edge of that total: every piece with it fits every card that makes it. */
function withPiece(pair: Pair, face: CardFace, largest: number): Drawing {
  const total = pair[0] + pair[1];
  const size = { width: PIECE_WIDTH, height: CARD_HEIGHT };
  if (face.asSigns)
    return fittingCard(pairCard(pair, face), wordCard(String(total), { ...size, most: NUMERAL }), total);
  // Dots of one size on all pieces of a set.
  const dots = dotFace(total, largest > 6 ? PIECE_WIDTH / 2 : PIECE_WIDTH);
  const shapes = moved(dots.shapes, (PIECE_WIDTH - dots.width) / 2, (CARD_HEIGHT - dots.height) / 2);
  return fittingCard(pairCard(pair, face), { ...size, shapes }, total);
}

/** What is printed behind the cards; nothing where their backs stay empty. */
function backsOf(pairs: readonly Pair[], face: CardFace, { back }: MakerValues): Drawing[] | undefined {
  switch (back) {
    case 'the-total':
      return pairs.map((pair) => totalBack(pair, face));
    case 'the-dots':
      return pairs.map((pair) => pairCard(pair, { ...face, asSigns: false }));
    default:
      return undefined;
  }
}

/** Cards named in one fact; the rest are told by their number. */
const MOST_NAMED = 14;
const MOST_SHOWN = 12;

/** Cards with two parts: all up to a highest total, all of one total, or a chain. */
export const maker: Maker = {
  id: 'pair-cards',
  place: 190,
  skills: ['parts-whole', 'see-how-many'],
  dials: [
    {
      kind: 'choice',
      name: 'set',
      choices: ['all-pairs-of-one-total', 'all-up-to-a-total', 'a-chain'],
      value: 'all-pairs-of-one-total',
    },
    { kind: 'number', name: 'total', min: 1, max: 12, value: 5 },
    { kind: 'choice', name: 'order', choices: ['both', 'once'], value: 'both' },
    { kind: 'choice', name: 'zero', choices: ['yes', 'no'], value: 'yes' },
    { kind: 'choice', name: 'faces', choices: ['dots', 'numerals'], value: 'dots' },
    {
      kind: 'choice',
      name: 'back',
      choices: ['nothing', 'the-total', 'the-dots', 'a-piece-that-fits'],
      value: 'nothing',
    },
  ],
  make(values, settings, say) {
    const isChain = values.set === 'a-chain';
    const pairs = pairsOf(values);
    const refused = refusePairs(pairs, values, settings);
    if (refused) return refused;
    const face = faceFor(pairs, values);
    const largest = Math.max(...pairs.map(([one, other]) => one + other));
    const hasPieces = values.back === 'a-piece-that-fits';
    const cards = pairs.map((pair) => (hasPieces ? withPiece(pair, face, largest) : pairCard(pair, face)));
    const backs = backsOf(pairs, face, values);
    const printable = { title: say('title'), cards, sheets: [] };
    const facts: MessageValues = {
      cards: pairs.length,
      pairs: listOf(pairs.slice(0, MOST_NAMED).map(([one, other]) => `${one}+${other}`)),
      more: pairs.length > MOST_NAMED ? 'yes' : 'no',
    };
    return ok({
      values: { ...facts, ...shownPair(pairs), faces: String(values.faces) },
      turns: { count: pairs.length, seconds: 12 },
      facts: [
        say('fact', facts),
        say('fact.chain', chainFacts(pairs)),
        ...(backs ? [say('fact.backs', { back: values.back === 'the-dots' ? 'dots' : 'total' })] : []),
        ...(hasPieces ? [say('fact.pieces')] : []),
      ],
      picture: inGrid(cards.slice(0, MOST_SHOWN).map(framedCard), cards[0]!.width > 2 * DIE ? 2 : 3, 4),
      lines: isChain ? chainLines(pairs, values, say) : totalLines(pairs, values, say),
      materials: [
        usedUp('paper', sheetsNeeded(printable), [{ item: 'domino', fit: 0.8, why: say('swap.domino') }]),
        lasting('scissors', 1),
      ],
      actions: ['scissors'],
      printable: { ...printable, ...(backs && { backs }) },
      key: pairs.map(([one, other]) => say('key', { one, other, total: one + other })),
    });
  },
};

/** The longest chain of the cards when touching ends are alike: a card may be turned round. */
function chainFacts(pairs: readonly Pair[]): MessageValues {
  const { longest, isRing, chains } = longestChain(pairs);
  return { longest, cards: pairs.length, chains, ring: isRing ? 'yes' : 'no' };
}

/** The card that is asked about: of the total with most cards, the middle one. */
function shownPair(pairs: readonly Pair[]): MessageValues {
  const [total, same] = commonTotal(pairs);
  const [one, other] = same[Math.floor((same.length - 1) / 2)]!;
  return { total, one, other };
}

function commonTotal(pairs: readonly Pair[]): [number, Pair[]] {
  const byTotal = new Map<number, Pair[]>();
  for (const pair of pairs) byTotal.set(pair[0] + pair[1], [...(byTotal.get(pair[0] + pair[1]) ?? []), pair]);
  return [...byTotal].reduce((best, entry) => (entry[1].length >= best[1].length ? entry : best));
}

function pairsOf(values: MakerValues): Pair[] {
  const total = numberOf(values, 'total');
  const all = values.set === 'a-chain' ? chain(total) : pairsFor(total, values);
  return values.zero === 'yes' ? all : all.filter(([one, other]) => one > 0 && other > 0);
}

function refusePairs(pairs: readonly Pair[], values: MakerValues, { stage }: MakerSettings) {
  const isChain = values.set === 'a-chain';
  if (values.faces === 'numerals' && stage === 'objects') return refuse('problem.stage');
  if (isChain && values.back !== 'nothing') return refuse('problem.chain-backs');
  if (values.back === 'the-dots' && values.faces !== 'numerals') return refuse('problem.dots-twice');
  if (values.back === 'a-piece-that-fits' && faceFor(pairs, values).width > 2 * DIE)
    return refuse('problem.pieces-wide');
  if (pairs.length === 0) return refuse('problem.no-pair', { total: numberOf(values, 'total') });
  if (isChain && pairs.length === 1) return refuse('problem.chain-of-one');
  if (pairs.length > MOST_CARDS) return refuse('problem.too-many', { cards: pairs.length, most: MOST_CARDS });
  return null;
}

function pairsFor(total: number, { set, order }: Readonly<Record<string, number | string>>): Pair[] {
  const isOneTotal = set === 'all-pairs-of-one-total';
  return pairCards({ max: total, ordered: order === 'both', ...(isOneTotal && { total }) }).pairs.filter(
    ([a, b]) => a + b <= total,
  );
}

/** A chain in which each card begins with what the one before ended with: 0 1, 1 2, … */
function chain(last: number): Pair[] {
  return Array.from({ length: last }, (_, index) => [index, index + 1] as const);
}

type Lines = MakerOutput['lines'];

const inWords = ([one, other]: Pair): Message => ({ key: 'pair-cards/pair', values: { one, other } });

function layOut(pairs: readonly Pair[], { faces }: MakerValues, say: Say): MakerLine {
  return lineWriters(say).toDo('do-1', { cards: pairs.length, faces: String(faces) });
}

/** Lines about a total that most cards of the set share, shown on a card of it whose parts are as even as can be. */
function totalLines(pairs: readonly Pair[], values: MakerValues, say: Say): Lines {
  const [total, same] = commonTotal(pairs);
  const shown = same[Math.floor((same.length - 1) / 2)]!;
  const others = same.filter((pair) => pair !== shown);
  // The easier way in: real things, so few that each hand is seen at a glance.
  const [inOne, inOther] = [Math.min(3, shown[0]), Math.min(2, shown[1])];
  const facts: MessageValues = {
    total,
    one: shown[0],
    other: shown[1],
    same: same.length,
    inOne,
    inOther,
    inBoth: inOne + inOther,
    zero: String(values.zero),
    order: String(values.order),
    others: listOf(others.map(inWords), 'semicolon'),
  };
  const write = linesAbout(say, facts);
  const lay = layOut(pairs, values, say);
  const hidden = write('do-3', 'ask-2');
  return {
    easier: write('do-2', 'ask-8'),
    right: [
      lay,
      ...write('ask-1'),
      ...(values.back === 'the-total' ? write('do-4') : []),
      ...(values.back === 'the-dots' ? write('do-9') : []),
      ...(others.length > 0 ? write('ask-3') : []),
      ...hidden,
      ...write('notice-1'),
    ],
    harder: [lay, ...hidden, ...write('ask-4')],
  };
}

function chainLines(pairs: readonly Pair[], values: MakerValues, say: Say): Lines {
  const [first, second] = pairs as readonly [Pair, Pair, ...Pair[]];
  const last = pairs.at(-1)!;
  const facts: MessageValues = {
    cards: pairs.length,
    first: inWords(first),
    second: inWords(second),
    last: inWords(last),
    beforeLast: inWords(pairs.at(-2)!),
  };
  const write = linesAbout(say, facts);
  const lay = layOut(pairs, values, say);
  return {
    easier: write('do-6', 'do-5', 'ask-5'),
    right: [lay, ...write('do-5', 'ask-5', 'do-7', 'ask-6')],
    harder: [lay, ...write('do-8', 'ask-7')],
  };
}
