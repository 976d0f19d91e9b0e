import {
  type Accent,
  EVERYDAY_WORDS,
  OVERRIDE_BY_WORD,
  packedPronunciations,
  type Pronunciations,
} from '../../core/sounds/index.ts';

type Dictionary = Readonly<Record<string, string>>;

/** Further readings of a word in the dictionary are numbered from 2 on. */
const MOST_READINGS = 4;

const everyday = packedPronunciations(EVERYDAY_WORDS);
let whole: Promise<(accent: Accent) => Pronunciations> | undefined;

/** Pronunciations that know these words: everyday ones, or the whole dictionary where a word is rarer; that takes half a second once. */
export async function pronunciationsFor(words: readonly string[], accent: Accent): Promise<Pronunciations> {
  const known = everyday(accent);
  const isEveryday = (word: string) => OVERRIDE_BY_WORD.has(word) || known.readingsOf(word).length > 0;
  if (words.every((word) => isEveryday(word.toLowerCase()))) return known;
  whole ??= loadWhole();
  return (await whole)(accent);
}

async function loadWhole(): Promise<(accent: Accent) => Pronunciations> {
  const { dictionary } = (await import('cmu-pronouncing-dictionary')) as { dictionary: Dictionary };
  const find = (word: string) => (Object.hasOwn(dictionary, word) ? [dictionary[word]!] : []);
  return packedPronunciations(EVERYDAY_WORDS, (word) =>
    [
      ...find(word),
      ...Array.from({ length: MOST_READINGS - 1 }, (_, index) => find(`${word}(${index + 2})`)).flat(),
    ].map((text) => text.replace(/ #.*/, '')),
  );
}
