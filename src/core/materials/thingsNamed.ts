import type { ThingsByKey } from './thing.ts';

/** A thing that words name, with how many of it they say (1 where they do not). */
interface NamedThing {
  readonly item: string;
  readonly qty: number;
}

const NUMBER_WORDS = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
/** Words that may stand between a number and what is counted. */
const MOST_WORDS_BETWEEN = 3;
const MOST_QTY = 99;

/** Names of things by their first word, the longest first. */
export type ThingIndex = ReadonlyMap<string, readonly { readonly item: string; readonly words: readonly string[] }[]>;

/** Names of things to look for in words; made once for many texts. No things: nothing is found. */
export function thingIndex(things: ThingsByKey): ThingIndex {
  const index = new Map<string, { item: string; words: string[] }[]>();
  for (const { key, one, many } of Object.values(things))
    for (const name of new Set([one, many])) {
      const words = wordsOf(name);
      if (words.length > 0) index.set(words[0]!, [...(index.get(words[0]!) ?? []), { item: key, words }]);
    }
  for (const names of index.values()) names.sort((one, other) => other.words.length - one.words.length);
  return index;
}

/**
 * The things that words name, each once, in their order, with the largest number said of it: “6 cups”, “two of the lids”.
 * Longer names win over shorter ones in them. Words that name nothing: none.
 */
export function thingsNamed(text: string, index: ThingIndex): NamedThing[] {
  const words = wordsOf(text);
  const found = new Map<string, number>();
  for (let at = 0; at < words.length; at += 1) {
    const name = index
      .get(words[at]!)
      ?.find((candidate) => candidate.words.every((word, step) => words[at + step] === word));
    if (!name) continue;
    found.set(name.item, Math.max(found.get(name.item) ?? 1, countBefore(words, at)));
    at += name.words.length - 1;
  }
  return [...found].map(([item, qty]) => ({ item, qty }));
}

function wordsOf(text: string): string[] {
  return text.toLowerCase().match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*|[.,;:!?]/gu) ?? [];
}

/** The number said before a place, over a few words, within its sentence; 1 where none is. */
function countBefore(words: readonly string[], at: number): number {
  for (let back = 1; back <= MOST_WORDS_BETWEEN + 1; back += 1) {
    const word = words[at - back];
    if (word === undefined || /^[.,;:!?]$/.test(word)) return 1;
    const count = /^\d{1,2}$/.test(word) ? Number(word) : NUMBER_WORDS.indexOf(word);
    if (count >= 1) return Math.min(MOST_QTY, count);
  }
  return 1;
}
