import { syllable } from 'syllable';
import { type Pronunciations, syllablesIn } from '../sounds/index.ts';

/** A word's parts to clap. */
export interface SyllableCount {
  readonly word: string;
  readonly count: number;
  /** Not in the dictionary, so that somebody should say it. */
  readonly guessed: boolean;
}

/** Counts the parts of a word: as told for a name, else from the dictionary, else guessed from its letters; at least one. */
export function countSyllables(
  word: string,
  known: Pronunciations,
  names: Readonly<Record<string, number>> = {},
): SyllableCount {
  const told = Object.hasOwn(names, word)
    ? names[word]
    : Object.entries(names).find(([name]) => name.toLowerCase() === word.toLowerCase())?.[1];
  if (told !== undefined) return { word, count: told, guessed: false };
  const parts = word
    .toLowerCase()
    .split(/[-\s]+/)
    .filter(Boolean)
    .map((part) => countPart(part, known));
  return {
    word,
    count: Math.max(
      1,
      parts.reduce((sum, { count }) => sum + count, 0),
    ),
    guessed: parts.some(({ guessed }) => guessed),
  };
}

const ENDINGS: readonly { readonly ending: RegExp; readonly adds: (stem: string) => number }[] = [
  { ending: /['’]s$/, adds: (stem) => (/(s|z|x|sh|ch|ge|ce)$/.test(stem) ? 1 : 0) },
  { ending: /s['’]$/, adds: () => 0 },
  { ending: /(?<=[^s])s$/, adds: (stem) => (/(z|x|sh|ch|ge|ce|se)$/.test(stem) ? 1 : 0) },
  { ending: /(?<=ss|x|z|sh|ch)es$/, adds: () => 1 },
];

function countPart(part: string, known: Pronunciations): { count: number; guessed: boolean } {
  const [reading] = known.readingsOf(part);
  if (reading) return { count: syllablesIn(reading), guessed: false };
  for (const { ending, adds } of ENDINGS) {
    const stem = part.replace(ending, '');
    const [first] = stem === part ? [] : known.readingsOf(stem);
    if (first) return { count: syllablesIn(first) + adds(stem), guessed: false };
  }
  return { count: syllable(part.normalize('NFD').replace(/\p{M}/gu, '')), guessed: true };
}
