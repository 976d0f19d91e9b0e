import { listOf, type Message, type MessageValue, type MessageValues, type Say } from '../../core/message.ts';
import { ok, type Outcome } from '../../core/outcome.ts';
import {
  counters,
  type Drawing,
  inColumn,
  type Ink,
  inkNamed,
  inRow,
  labelled,
  wordCard,
} from '../../core/page/index.ts';
import { secondsOfWork } from '../../core/time/index.ts';
import type { MakerValues } from '../../core/session/index.ts';
import {
  inOwn,
  lasting,
  type Maker,
  type MakerMaterial,
  numberOf,
  readOwnWords,
  type Refusal,
  refuse,
  shelfKeyOf,
  usedUp,
  WRITTEN_WHOLE,
} from '../../core/makers/index.ts';
import { plays } from './scripts.en.ts';

/** What is not called by a colour is drawn in these, with its name above it. */
const OTHER_INKS: readonly Ink[] = ['teal', 'marigold', 'mulberry', 'soft', 'line', 'pale'];
/** What each muddle is of: kinds of things that come in many of a sort; a set takes the first so many. */
const KINDS = {
  pockets: ['bottle-lid', 'building-block', 'clothes-peg', 'sock'],
  'washing-day': ['sock', 'clothes-peg', 'bottle-lid', 'building-block'],
  'post-van': ['building-block', 'bottle-lid', 'clothes-peg', 'sock'],
  'moving-day': ['building-block', 'sock', 'bottle-lid', 'clothes-peg'],
} as const;
type Story = keyof typeof KINDS;
const STORIES = Object.keys(KINDS) as readonly Story[];
const RULES = ['colour', 'size', 'what-it-is', 'what-it-does'] as const;
const MOST_ON_A_RUG = 40;
/** So many beds can be drawn on a sheet. */
const MOST_BEDS = 12;

const said = (name: string, values?: MessageValues): Message => ({ key: `sorting-set/${name}`, values });

/** A kind of thing in the heap: how many of it are called, and what it is on the shelf. */
interface Kind {
  readonly item: string | null;
  readonly named: (number: number) => MessageValue;
}

/** Things sorted by a rule: with sample cards, then without, and one that is left over. */
export const maker: Maker = {
  id: 'sorting-set',
  place: 10,
  skills: ['sort', 'same-different', 'match'],
  dials: [
    { kind: 'choice', name: 'story', choices: STORIES, value: 'pockets' },
    { kind: 'choice', name: 'by', choices: RULES, value: 'colour' },
    { kind: 'list', name: 'colours', value: 'red, blue, yellow' },
    { kind: 'number', name: 'kinds', min: 1, max: 4, value: 2 },
    { kind: 'list', name: 'things', value: '' },
    { kind: 'number', name: 'each', min: 1, max: 5, value: 2 },
    { kind: 'choice', name: 'extra', choices: ['one-is-left-over', 'none-is-left-over'], value: 'one-is-left-over' },
  ],
  plays,
  formerWays: {
    sitting: 'muddle',
    'moving-about': 'corners',
    'as-a-game': 'guess-my-rule',
    'two-children': 'guess-my-rule',
    'during-the-day': 'tidying',
    'five-minutes': 'tidying',
  },
  make(values, _settings, say) {
    const colours = readOwnWords(String(values.colours), { dial: 'colours', least: 2, most: 6 });
    if (!colours.ok) return colours;
    const kinds = kindsOf(values);
    if (!kinds.ok) return kinds;
    const heap = heapOf(values, colours.value, kinds.value);
    if (heap.all > MOST_ON_A_RUG) return refuse('problem.many', { all: heap.all, most: MOST_ON_A_RUG });
    const facts = factsOf(values, { colours: colours.value, kinds: kinds.value, heap, say });
    const hasBeds = values.extra === 'one-is-left-over' && heap.ofKind > 2 && heap.ofKind <= MOST_BEDS + 1;
    const strange = kinds.value.filter(({ item }) => item === null);
    return ok({
      facts: [
        say('fact', facts),
        ...(strange.length > 0
          ? [say('fact.own', { things: listOf(strange.map(({ named }) => named(heap.ofKind))) })]
          : []),
      ],
      values: facts,
      holds: {
        even: heap.isEven,
        'two kinds': kinds.value.length > 1,
        'one short': hasBeds,
      },
      turns: { count: 1, seconds: secondsOfWork(values.variant === 'tidying' ? { wait: 2 } : { sort: heap.all }) },
      picture: sortedHeaps(colours.value, heap.isEven ? heap.inHeap : 1),
      lines: WRITTEN_WHOLE,
      materials: materialsFor(String(values.variant), kinds.value, { ofKind: heap.ofKind, hasBeds, say }),
      actions: [],
      printable: {
        title: say('printable'),
        cards:
          values.variant === 'muddle' || values.variant === 'corners'
            ? colours.value.map((colour) => wordCard(colour, { width: 60, height: 40, most: 14 }))
            : [],
        sheets: [],
      },
      key: colours.value.map((colour) =>
        say('key', { colour: inOwn(colour), even: heap.isEven ? 'yes' : 'no', inHeap: heap.inHeap }),
      ),
    });
  },
};

/** What is in the heap: the author's own things, or the first kinds of ours. */
function kindsOf(values: MakerValues): Outcome<readonly Kind[], Refusal> {
  const typed = String(values.things);
  if (typed.trim() === '')
    return ok(
      KINDS[values.story as Story].slice(0, numberOf(values, 'kinds')).map((item): Kind => ({
        item,
        named: (number) => said(`kind.${item}`, { number }),
      })),
    );
  const own = readOwnWords(typed, { dial: 'things', least: 1, most: 6 });
  if (!own.ok) return own;
  return ok(
    own.value.map((things): Kind => ({
      item: shelfKeyOf(things),
      named: (number) => said('own', { number, things: inOwn(things) }),
    })),
  );
}

interface Heap {
  readonly all: number;
  readonly ofKind: number;
  readonly inHeap: number;
  /** Each kind comes in each pile, so the piles are alike; of fruit and vegetables nobody here knows. */
  readonly isEven: boolean;
}

function heapOf(values: MakerValues, colours: readonly string[], kinds: readonly Kind[]): Heap {
  const each = numberOf(values, 'each');
  const isEven = values.by === 'colour' || values.by === 'size';
  const ofKind = isEven ? colours.length * each : each;
  return { all: ofKind * kinds.length, ofKind, inHeap: each * kinds.length, isEven };
}

function factsOf(
  values: MakerValues,
  { colours, kinds, heap, say }: { colours: readonly string[]; kinds: readonly Kind[]; heap: Heap; say: Say },
): MessageValues {
  const story = String(values.story);
  const [first, second] = [colours[0]!, colours[1]!];
  // Of what a thing can do one says that it is one that can.
  const named = (name: string, which: 'one' | 'all') =>
    values.by === 'what-it-does' ? said(`${which}.what-it-does`, { name: inOwn(name) }) : inOwn(name);
  return {
    groups: colours.length,
    each: numberOf(values, 'each'),
    kindCount: kinds.length,
    all: heap.all,
    inHeap: heap.inHeap,
    even: heap.isEven ? 'yes' : 'no',
    pair: 2 * heap.inHeap,
    heaps: colours.length * kinds.length,
    places: heap.ofKind - 1,
    sort: kinds[0]!.named(heap.ofKind),
    mixture: listOf(kinds.map((kind) => kind.named(heap.ofKind))),
    groupList: listOf(colours.map(inOwn)),
    first: inOwn(first),
    second: inOwn(second),
    firstOne: named(first, 'one'),
    secondOne: named(second, 'one'),
    firstAll: named(first, 'all'),
    property: said(`property.${String(values.by)}`),
    opener: say(`${story}.opener`),
    ending: say(`${story}.ending`),
  };
}

function materialsFor(
  way: string,
  kinds: readonly Kind[],
  { ofKind, hasBeds, say }: { ofKind: number; hasBeds: boolean; say: Say },
): MakerMaterial[] {
  if (way === 'tidying') return [];
  const things = kinds.flatMap(({ item }) => (item === null ? [] : [lasting(item, ofKind)]));
  if (way === 'guess-my-rule')
    return [...things, lasting('string', 1, [{ item: 'ribbon', fit: 1, why: say('swap.ribbon') }])];
  const isMuddle = way === 'muddle';
  return [...things, usedUp('paper', 1), ...(isMuddle && hasBeds ? [lasting('pencil', 1)] : [])];
}

/** A heap for each colour below its card. */
function sortedHeaps(colours: readonly string[], inHeap: number): Drawing {
  return inRow(
    colours.map((colour, index) =>
      inColumn(
        [
          labelled(colour, { width: 40, height: 14 }),
          counters(inHeap, { size: 6, perRow: 5, ink: inkNamed(colour.toLowerCase()) ?? OTHER_INKS[index]! }),
        ],
        4,
      ),
    ),
    8,
  );
}
