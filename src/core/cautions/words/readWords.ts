import { en } from './en.ts';
import { phrasesOf, plainWord, slotsOf, type Slot } from './phrases.ts';
import type { WordEntry, WordList } from './wordList.ts';

/** What a text is: the kinds of lines, and names, notes, songs and recipes. */
export const TEXT_KINDS = [
  ...(['do', 'say', 'ask', 'notice', 'if', 'sing', 'read'] as const),
  ...(['thing', 'note', 'song', 'recipe'] as const),
];
/** What a text is. */
export type TextKind = (typeof TEXT_KINDS)[number];

/** A word that calls for something, and where it stands: characters from, and up to but without. */
export interface FoundWord {
  readonly rule: string;
  readonly word: string;
  readonly from: number;
  readonly to: number;
  /** Where it is asked about: it would be checked if it were not in a story or only a likeness. */
  readonly isSoftened?: boolean | undefined;
  /** Where it is asked about and may hold an allergen. */
  readonly allergen?: string | undefined;
}

/** What the words of a text call for. */
export interface ReadText {
  /** Looked at by a person before it is sent. */
  readonly check: readonly FoundWord[];
  /** A caution is said. */
  readonly notes: readonly FoundWord[];
  /** Words that mean two things: asked once. */
  readonly asks: readonly FoundWord[];
  /** Allergens by the names of the caution list, each once. */
  readonly allergens: readonly string[];
  /** The same with the words that hold them. */
  readonly holding: readonly FoundWord[];
}

/** Languages that have a list of words: one file each. */
const LISTS: Readonly<Record<string, WordList>> = { en };

/** The languages whose texts can be read, BCP 47. */
export const READABLE_LANGUAGES: readonly string[] = Object.keys(LISTS);

/** Words that a gap of a phrase may hold. */
const LONGEST_GAP = 4;
/** Characters of a text that are read; a line has at most 2,000. */
const MOST_CHARACTERS = 20_000;

/** What follows is words to be said, not things. */
const WORDS_FOLLOW = /^\s*(say|read|spell|whisper|sing|name these words)( these| the words| aloud)?:/i;
/** A word or two in quotation marks: it is talked about. */
const QUOTED_WORDS = /[“"‘']([\p{L}-]+( [\p{L}-]+)?)[”"’'](?!\p{L})/gu;

/** Whether a character stands within a quoted word. */
function quotedWords(text: string): (at: number) => boolean {
  const spans = [...text.matchAll(QUOTED_WORDS)].map(({ index, 0: { length } }) => [index, index + length] as const);
  return (at) => spans.some(([from, to]) => at >= from && at < to);
}

interface Token {
  readonly plain: string;
  readonly from: number;
  readonly to: number;
  readonly sentence: number;
}

interface Compiled {
  readonly entry: WordEntry;
  readonly slots: readonly Slot[];
}

interface Index {
  readonly byFirst: ReadonlyMap<string, readonly Compiled[]>;
  readonly stories: ReadonlyMap<string, readonly Compiled[]>;
  readonly likenesses: ReadonlySet<string>;
  readonly meals: ReadonlySet<string>;
  readonly common: ReadonlySet<string>;
  readonly foreign: ReadonlySet<string>;
}

interface Match {
  readonly entry: WordEntry;
  readonly places: readonly number[];
}

const indexes = new Map<string, Index>();

function indexOf(language: string): Index {
  const known = indexes.get(language);
  if (known) return known;
  const list = LISTS[language];
  if (!list) throw new Error(`there is no list of words in ${language}`);
  const setOf = (text: string) => new Set(text.split(/\s+/).flatMap((word) => [...(slotsOf(word)[0] ?? [])]));
  const exactly = (text: string) => new Set(text.split(/\s+/).map((word) => plainWord(word.replace('!', ''))));
  const story: WordEntry = { group: 'harmless', rules: [], why: '', phrases: list.stories };
  const common = exactly(list.commonWords);
  const index: Index = {
    byFirst: compile(list.entries),
    stories: compile([story]),
    likenesses: setOf(list.likenesses),
    meals: exactly(list.meals),
    common,
    foreign: new Set([...exactly(list.foreignWords)].filter((word) => !common.has(word))),
  };
  indexes.set(language, index);
  return index;
}

function compile(entries: readonly WordEntry[]): Map<string, Compiled[]> {
  const byFirst = new Map<string, Compiled[]>();
  for (const entry of entries)
    for (const phrase of phrasesOf(entry.phrases)) {
      const slots = slotsOf(phrase);
      for (const form of slots[0] ?? []) {
        const known = byFirst.get(form) ?? [];
        known.push({ entry, slots });
        byFirst.set(form, known);
      }
    }
  return byFirst;
}

/**
 * What the words of a text call for, by the list of its language. Of ways to read the same word the longest counts, so
 * that “fire engine” is no fire. Said not to be done, a danger is one all the same; in a story, a song or a picture it is
 * asked about. A text without words calls for nothing. Throws for a language that has no list.
 */
export function readWords(text: string, kind: TextKind, language = 'en'): ReadText {
  const index = indexOf(language);
  const tokens = tokensOf(text.slice(0, MOST_CHARACTERS));
  const matches = bothRead(matchesIn(tokens, index.byFirst));
  const isStory =
    ['sing', 'read', 'song'].includes(kind) || WORDS_FOLLOW.test(text) || matchesIn(tokens, index.stories).length > 0;
  const isQuoted = quotedWords(text);
  const check: FoundWord[] = [];
  const notes: FoundWord[] = [];
  const asks: FoundWord[] = [];
  const holding: FoundWord[] = [];
  for (const { entry, places } of matches) {
    const first = tokens[places[0]!]!;
    // “the paper fish”, “slice the wooden bread”
    const isLikeness =
      [places[0]! - 1, places.at(-1)! + 1].some((at) => index.likenesses.has(tokens[at]?.plain ?? '')) ||
      isQuoted(first.from);
    const found = (rule: string): FoundWord => {
      const { from } = first;
      const { to } = tokens[places.at(-1)!]!;
      return { rule, word: text.slice(from, to), from, to };
    };
    const softened = (rule: string) => ({ ...found(rule), isSoftened: true });
    if (entry.group === 'check') {
      if (isStory || isLikeness) asks.push(...entry.rules.map(softened));
      else check.push(...entry.rules.map(found));
    } else if (entry.group === 'note' && !isLikeness && kind !== 'read') notes.push(...entry.rules.map(found));
    else if (entry.group === 'allergen') {
      if (isLikeness || (isStory && kind !== 'song' && kind !== 'sing'))
        asks.push(...entry.rules.map((allergen) => ({ ...softened('allergens'), allergen })));
      else holding.push(...entry.rules.map(found));
    } else if (entry.group === 'ask') {
      const isMeal =
        entry.asFood !== undefined &&
        !isLikeness &&
        tokens.some(
          ({ plain, sentence }, at) => sentence === first.sentence && !places.includes(at) && index.meals.has(plain),
        );
      if (isMeal) holding.push(...entry.asFood!.map(found));
      else if (entry.asFood) asks.push(...entry.asFood.map((allergen) => ({ ...found('allergens'), allergen })));
      else asks.push(...entry.rules.map(found));
    }
  }
  return { check, notes, asks, holding, allergens: [...new Set(holding.map(({ rule }) => rule))] };
}

/**
 * Whether a text is in a language that is read: letters of another script, or more little words of other languages than of
 * this one, and it is not. A text of few words is taken for read.
 */
export function isReadable(text: string, language = 'en'): boolean {
  const { common, foreign } = indexOf(language);
  const tokens = tokensOf(text.slice(0, MOST_CHARACTERS));
  if (tokens.some(({ plain }) => /\p{L}/u.test(plain) && !/\p{Script=Latin}/u.test(plain))) return false;
  const count = (words: ReadonlySet<string>) => tokens.filter(({ plain }) => words.has(plain)).length;
  const others = count(foreign);
  return others < 2 || others <= count(common);
}

function tokensOf(text: string): Token[] {
  const tokens: Token[] = [];
  let sentence = 0;
  for (const match of text.matchAll(/[\p{L}\p{M}\p{N}]+(?:['’][\p{L}\p{M}]+)*|[.!?;:\n]/gu)) {
    const [word] = match;
    if (/^[.!?;:\n]$/.test(word)) sentence += 1;
    else tokens.push({ plain: plainWord(word), from: match.index, to: match.index + word.length, sentence });
  }
  return tokens;
}

function matchesIn(tokens: readonly Token[], byFirst: Index['byFirst']): Match[] {
  return tokens.flatMap((token, at) =>
    (byFirst.get(token.plain) ?? []).flatMap(({ entry, slots }) => {
      const places = follow(tokens, at, slots);
      return places ? [{ entry, places }] : [];
    }),
  );
}

/** The places of the words of a phrase that begins at a token, the nearest ones; null where it does not go on. */
function follow(tokens: readonly Token[], at: number, slots: readonly Slot[]): number[] | null {
  const places: number[] = [at];
  const { sentence } = tokens[at]!;
  let next = at + 1;
  let mayLeave = 0;
  for (const slot of slots.slice(1)) {
    if (slot === null) {
      mayLeave = LONGEST_GAP;
      continue;
    }
    const last = Math.min(tokens.length - 1, next + mayLeave);
    let found = -1;
    for (let place = next; place <= last && tokens[place]!.sentence === sentence; place++)
      if (slot.has(tokens[place]!.plain)) {
        found = place;
        break;
      }
    if (found < 0) return null;
    places.push(found);
    next = found + 1;
    mayLeave = 0;
  }
  return places;
}

/**
 * What is read of all matches: of dangers the longest, and of foods the longest, each for itself. A celery stick can choke, and it
 * is celery all the same.
 */
function bothRead(matches: readonly Match[]): Match[] {
  const isFood = ({ entry }: Match) => entry.group === 'allergen' || entry.asFood !== undefined;
  const foods = longestOf(matches.filter((match) => isFood(match) || match.entry.group === 'harmless'));
  const dangers = longestOf(matches).filter((match) => !isFood(match));
  return [...foods, ...dangers].sort((one, other) => one.places[0]! - other.places[0]!);
}

/** Of matches that share a word those with most words, the earliest first; those of just the same words all stay. */
function longestOf(matches: readonly Match[]): Match[] {
  const sorted = [...matches].sort(
    (one, other) => other.places.length - one.places.length || one.places[0]! - other.places[0]!,
  );
  const takenBy = new Map<number, string>();
  const kept: Match[] = [];
  for (const match of sorted) {
    const name = match.places.join(' ');
    if (match.places.some((place) => takenBy.has(place) && takenBy.get(place) !== name)) continue;
    for (const place of match.places) takenBy.set(place, name);
    kept.push(match);
  }
  // Where the same words are harmless, they are harmless.
  const harmless = new Set(
    kept.filter(({ entry }) => entry.group === 'harmless').map(({ places }) => places.join(' ')),
  );
  return kept
    .filter(({ entry, places }) => entry.group !== 'harmless' && !harmless.has(places.join(' ')))
    .sort((one, other) => one.places[0]! - other.places[0]!);
}
