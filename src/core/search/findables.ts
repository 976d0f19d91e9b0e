import MiniSearch from 'minisearch';
import { searchOptions } from './searchOptions.ts';

/** What can be found. */
type FindableKind = 'session' | 'activity' | 'book' | 'song' | 'thing' | 'maker' | 'home' | 'line' | 'page';

/** Something that can be found by words and opened. */
export interface Findable {
  readonly kind: FindableKind;
  /** Unique among those of its kind. */
  readonly key: string;
  readonly title: string;
  /** A few words more that are shown. */
  readonly about: string;
  /** Words that it is found by and that are not shown. */
  readonly words?: string | undefined;
  readonly href: string;
  /** Of a maker: the dials that a number in the words may set, with their ranges. */
  readonly numbers?: readonly { readonly dial: string; readonly min: number; readonly max: number }[] | undefined;
}

/** Something that was found, with where it leads for these words. */
export type Found = Findable;

/** So many are shown of what was found. */
const MOST_FOUND = 12;
/** Characters of words that are looked at. */
const LONGEST = 200;

type Index = MiniSearch<Findable & { id: number; joined: string }>;

/** A search over everything that can be found; built once for many words. */
export function findableIndex(entries: readonly Findable[]): {
  readonly entries: readonly Findable[];
  readonly index: Index;
} {
  const index: Index = new MiniSearch(
    searchOptions(['title', 'joined', 'words', 'about'], { title: 4, joined: 2, words: 2, about: 1 }),
  );
  index.addAll(entries.map((entry, id) => ({ ...entry, id, joined: entry.title.replace(/[\s-]+/g, '') })));
  return { entries, index };
}

/** Lines are many, and pages few: what somebody most likely looks for comes first where words fit equally well. */
const WEIGHTS: Readonly<Record<FindableKind, number>> = {
  session: 1.15,
  activity: 1.1,
  thing: 1.05,
  maker: 1.1,
  book: 1.1,
  song: 1,
  home: 1.1,
  page: 1,
  line: 0.4,
};

/** What words find, the best first, `MOST_FOUND` at most. No words: nothing. A number opens a maker with one of its dials so. */
export function findIn({ entries, index }: ReturnType<typeof findableIndex>, typed: string): Found[] {
  const words = typed.slice(0, LONGEST).trim();
  if (words === '') return [];
  const plain = words.toLowerCase();
  const number = /\b(\d{1,3})\b/.exec(words);
  const found = index.search(words.replace(/\d+/g, ' '), {
    boostDocument: (id) => {
      const entry = entries[id as number]!;
      const isWhole = entry.title.toLowerCase() === plain ? 3 : 1;
      const takesNumber = number && entry.numbers && entry.numbers.length > 0 ? 1.3 : 1;
      return WEIGHTS[entry.kind] * isWhole * takesNumber;
    },
  });
  return found
    .slice(0, MOST_FOUND)
    .map(({ id }) => withNumber(entries[id as number]!, number ? Number(number[1]) : undefined));
}

/** “Pots to 5” opens the maker with its first number that can be 5 at 5. */
function withNumber(entry: Findable, number: number | undefined): Found {
  const dial = number === undefined ? undefined : entry.numbers?.find(({ min, max }) => min <= number && number <= max);
  return dial
    ? { ...entry, href: `${entry.href}?${dial.dial}=${number}`, about: `${entry.about} · set to ${number}` }
    : entry;
}
