import type { CalendarDate } from '../calendar/index.ts';
import { type Accent, FIRST_SOUNDS, type Phone, type Pronunciations } from '../sounds/index.ts';
import { listOf, type Message, type MessageValues } from '../message.ts';
import { PICTURE_WORD, PICTURE_WORDS } from './pictureWords.ts';
import { findRhymes } from './rhymes.ts';
import { segmentWord } from './segmentWord.ts';
import { findStarts } from './starts.ts';

/** What the words of a line are meant to do. */
export const WORD_AIMS = ['rhyme', 'starts', 'readable', 'pictures'] as const;
/** What the words of a line are meant to do. */
export type WordAim = (typeof WORD_AIMS)[number];

/** When sounds are taught: each day with its graphemes, in order. */
export interface TaughtOn {
  readonly on: CalendarDate;
  readonly graphemes: readonly string[];
}

/** What may be found about a word of a line. */
export type WordFindingCode =
  'no-rhyme' | 'rhymes-with-none' | 'starts-otherwise' | 'starts-so-but' | 'unsure' | 'not-readable' | 'share-picture';

/** What is found about a word of a line; its sentence speaks of the values, by the names in `messages/findings`. */
export interface WordFinding {
  readonly code: WordFindingCode;
  /** The word that would be changed. */
  readonly word: string;
  readonly values: MessageValues;
  /** A word that would do in its place; null where none is known. */
  readonly instead: string | null;
}

/** What the words of a line were found to be. */
export interface CheckedLine {
  readonly words: readonly string[];
  readonly findings: readonly WordFinding[];
}

/** Words of a line that are looked at, at most. */
const MOST_WORDS = 24;
/** A line is looked at so far. */
const LONGEST_TEXT = 2000;
const ITEM = "(?:(?:an?|the|your|my|some) )?[a-z]+(?:['’-][a-z]+)*";
const LIST = new RegExp(`${ITEM}(?:, ${ITEM})*(?:,? (?:and|or) ${ITEM}|, ${ITEM})`, 'gi');
const NOT_LISTED = new Set(['an', 'a', 'the', 'your', 'my', 'some', 'and', 'or']);

/**
 * The words a line is about: the row of words in it, with commas and an “and”, of which most are nouns with a picture or words
 * alike; where words are to be read, what stands in quotation marks or else all of them. None is found: none.
 */
export function wordsOfLine(text: string, aim: WordAim): string[] {
  const line = text.slice(0, LONGEST_TEXT);
  const inRow = rowOf(line);
  if (inRow.length >= 2 && aim !== 'readable') return inRow.slice(0, MOST_WORDS);
  if (aim !== 'readable') return [];
  const quoted = [...line.matchAll(/“([^”]*)”/g)].map((match) => match[1]!).join(' ');
  const all = ((quoted || (inRow.length >= 2 ? inRow.join(' ') : line)).toLowerCase().match(/[a-z]+/g) ??
    []) as string[];
  return [...new Set(all)].slice(0, MOST_WORDS);
}

/** The row of words in a text that holds most nouns with a picture. */
function rowOf(text: string): string[] {
  let best: { words: string[]; nouns: number } = { words: [], nouns: 0 };
  for (const [row] of text.matchAll(LIST)) {
    const words = row
      .toLowerCase()
      .split(/,? (?:and|or) |, /)
      .map(
        (item) =>
          item
            .split(' ')
            .filter((word) => !NOT_LISTED.has(word))
            .at(-1) ?? '',
      )
      .filter((word) => /^[a-z]+$/.test(word));
    const nouns = words.filter((word) => PICTURE_WORD.has(word)).length;
    if (words.length >= 2 && nouns > best.nouns) best = { words: [...new Set(words)], nouns };
  }
  return best.words;
}

/** What to check words by. */
export interface WordQuestion {
  readonly aim: WordAim;
  /** For first sounds: how it is written, such as s or sh. */
  readonly sound: string;
  /** The day of the session: what is taught by then. */
  readonly on: CalendarDate;
  readonly steps: readonly TaughtOn[];
}

/** Checks the words of a line for what they are meant to do. A line without such words has no findings. */
export function checkLineWords(
  text: string,
  question: WordQuestion,
  { known, accent }: { known: Pronunciations; accent: Accent },
): CheckedLine {
  const words = wordsOfLine(text, question.aim);
  switch (question.aim) {
    case 'rhyme':
      return { words, findings: rhymeFindings(words, known, accent) };
    case 'starts':
      return { words, findings: startFindings(words, question.sound, known, accent) };
    case 'readable':
      return { words, findings: readingFindings(words, question, known, accent) };
    case 'pictures':
      return { words, findings: pictureFindings(words) };
  }
}

const isFree = (word: string, taken: readonly string[]) => {
  const entry = PICTURE_WORD.get(word)!;
  return (
    !taken.includes(word) &&
    taken.every((other) => {
      const beside = PICTURE_WORD.get(other);
      return (
        !beside || (beside.picture !== entry.picture && (beside.group === undefined || beside.group !== entry.group))
      );
    })
  );
};

function about(
  code: WordFindingCode,
  word: string,
  values: MessageValues = {},
  instead: string | null = null,
): WordFinding {
  return { code, word, values: { word, ...values }, instead };
}

/** When a piece of a word is taught, or that no step brings it. */
function comesOn(grapheme: string, on: CalendarDate | undefined, isTricky: boolean): Message {
  const shown = grapheme.replace('_', '–');
  if (on !== undefined) return { key: 'findings/not-readable.comes', values: { grapheme: shown, day: { day: on } } };
  return { key: `findings/not-readable.${isTricky ? 'tricky' : 'in-no-step'}`, values: { grapheme: shown } };
}

function rhymeFindings(words: readonly string[], known: Pronunciations, accent: Accent): WordFinding[] {
  const { families, unsure } = findRhymes(words, known, accent);
  const largest = families.reduce<readonly string[]>(
    (most, family) => (family.length > most.length ? family : most),
    [],
  );
  const [first] = largest;
  const taken = [...words];
  const another = () => {
    const found =
      first === undefined
        ? undefined
        : PICTURE_WORDS.find(
            ({ word }) => isFree(word, taken) && findRhymes([first, word], known, accent).families.length === 1,
          )?.word;
    if (found !== undefined) taken.push(found);
    return found ?? null;
  };
  return words.flatMap((word): WordFinding[] => {
    if (unsure.includes(word)) return [about('unsure', word)];
    if (largest.includes(word)) return [];
    const others = largest.length > 0 ? largest : words.filter((other) => other !== word);
    if (others.length === 0) return [about('rhymes-with-none', word, {}, another())];
    return [about('no-rhyme', word, { others: listOf(others) }, another())];
  });
}

function startFindings(
  words: readonly string[],
  written: string,
  known: Pronunciations,
  accent: Accent,
): WordFinding[] {
  const sound: Phone = FIRST_SOUNDS.get(written)?.split(' ')[0] ?? written.toUpperCase();
  const { yes, traps, unsure } = findStarts(sound, words, known, accent);
  const trapOf = new Map(traps.map((trap) => [trap.word, trap]));
  let spare: string[] | null = null;
  const taken = [...words];
  const another = () => {
    spare ??= findStarts(
      sound,
      PICTURE_WORDS.filter(({ group }) => group === undefined).map(({ word }) => word),
      known,
      accent,
    ).yes.filter((word) => word.startsWith(written));
    const found = spare.find((word) => isFree(word, taken)) ?? null;
    if (found) taken.push(found);
    return found;
  };
  return words.flatMap((word): WordFinding[] => {
    const trap = trapOf.get(word);
    if (unsure.includes(word)) return [about('unsure', word)];
    if (yes.includes(word)) return trap ? [about('starts-so-but', word, { written: trap.written })] : [];
    const values = { written: trap?.written ?? word[0]!, sound: written };
    return [about('starts-otherwise', word, values, another())];
  });
}

function readingFindings(
  words: readonly string[],
  { on, steps }: Pick<WordQuestion, 'on' | 'steps'>,
  known: Pronunciations,
  accent: Accent,
): WordFinding[] {
  const taught = new Set(steps.filter((step) => step.on <= on).flatMap(({ graphemes }) => graphemes));
  return words.flatMap((word): WordFinding[] => {
    const divided = segmentWord(word, { known, accent, taught });
    if (divided.decodable) return [];
    const lacking = divided.unknown.map((grapheme) => {
      // A piece that is taught and still cannot be read has another sound here: no day brings it.
      const on = taught.has(grapheme) ? undefined : steps.find((step) => step.graphemes.includes(grapheme))?.on;
      return comesOn(grapheme, on, divided.tricky === grapheme);
    });
    return [about('not-readable', word, { lacking: listOf(lacking, 'comma') })];
  });
}

function pictureFindings(words: readonly string[]): WordFinding[] {
  return words.flatMap((word, at) =>
    words.slice(at + 1).flatMap((other): WordFinding[] => {
      const [one, two] = [PICTURE_WORD.get(word), PICTURE_WORD.get(other)];
      const isShared =
        one && two && (one.picture === two.picture || (one.group !== undefined && one.group === two.group));
      if (!isShared) return [];
      const same = PICTURE_WORDS.filter(({ category }) => category === two.category);
      const instead = same.find((entry) => entry.group === undefined && isFree(entry.word, words))?.word ?? null;
      return [{ ...about('share-picture', word, { other }, instead), word: other }];
    }),
  );
}

/** A text with a word put in the place of another, everywhere it stands alone; null where it does not stand there. */
export function withWordReplaced(text: string, word: string, instead: string): string | null {
  const alone = new RegExp(`(?<!\\p{L})${word}(?!\\p{L})`, 'giu');
  // What stands in braces is no word of the line: a dial, a sum, or words by number.
  const pieces = text.split(/(\{[^{}]*\})/);
  const changed = pieces.map((piece, at) => (at % 2 === 1 ? piece : piece.replace(alone, instead))).join('');
  return changed === text ? null : changed;
}
