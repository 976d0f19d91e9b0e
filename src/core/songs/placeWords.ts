import { type Accent, isVowel, type Pronunciations, wordPieces } from '../sounds/index.ts';
import { readMelodyLine, type MelodyNote } from './melody.ts';
import { fitLine, sungWords, type FittedLine } from './tuneFit.ts';
import { tuneBeats, type Tune } from './tunes.ts';

/** A syllable under the notes it is sung on. */
interface PlacedSyllable {
  readonly text: string;
  /** Indexes of its notes in the line; none where the line has no note left. */
  readonly notes: readonly number[];
  /** It shares its note with the syllable before. */
  readonly isSplit: boolean;
  readonly isClash: boolean;
  /** Another part of the same word follows. */
  readonly goesOn: boolean;
}

/** A line of words on a line of a tune; a spoken one stands between two and has no notes. */
export type PlacedLine =
  | { readonly kind: 'spoken'; readonly text: string }
  | {
      readonly kind: 'sung';
      readonly text: string;
      readonly notes: readonly MelodyNote[];
      readonly beats: string;
      readonly fit: FittedLine;
      readonly syllables: readonly PlacedSyllable[];
      /** Its words with how many syllables each has here. */
      readonly words: readonly { readonly word: string; readonly count: number; readonly isGuessed: boolean }[];
    };

/** Lines that are looked at, at most. */
export const MOST_SONG_LINES = 60;
/** Characters of one line, at most. */
const LONGEST_LINE = 160;
/** A line in brackets is called, not sung. */
const SPOKEN = /^\s*\((.*)\)\s*$/;

/**
 * Sets an author's words to a tune: line by line, the tune from the start when it is over; lines in brackets are spoken and take
 * no line of it. Empty lines are left out. No words: no lines.
 */
export function placeWords(
  tune: Tune,
  words: string,
  { known, accent, names }: { known: Pronunciations; accent: Accent; names: Readonly<Record<string, number>> },
): PlacedLine[] {
  const beats = tuneBeats(tune);
  let next = 0;
  return words
    .split('\n')
    .map((line) => line.trim().slice(0, LONGEST_LINE))
    .filter(Boolean)
    .slice(0, MOST_SONG_LINES)
    .map((text): PlacedLine => {
      const spoken = SPOKEN.exec(text);
      if (spoken) return { kind: 'spoken', text: spoken[1]!.trim() };
      const at = next++ % tune.lines.length;
      const notes = readMelodyLine(tune.lines[at]!);
      const sung = sungWords(text, known, names);
      const fit = fitLine(sung, beats[at]!);
      const parts = sung.flatMap(({ word, stress }) => {
        const split = syllableTexts(word, stress.length, known, accent);
        return split.map((part, index) => ({
          text: part,
          goesOn: index < split.length - 1,
          isMain: stress[index] === 1 && stress.length > 1,
        }));
      });
      return {
        kind: 'sung',
        text,
        notes,
        beats: beats[at]!,
        fit,
        syllables: placed(parts, beats[at]!, notes),
        words: sung.map(({ word, stress, guessed }) => ({ word, count: stress.length, isGuessed: guessed })),
      };
    });
}

interface Part {
  readonly text: string;
  readonly goesOn: boolean;
  readonly isMain: boolean;
}

/**
 * One syllable to a note where it fits. One short: a syllable is held over two notes; one long: two share a note: where fewest
 * main stresses fall on a weak beat, then on the longest notes, then latest. Further off: from the first note on, as far as it goes.
 */
function placed(parts: readonly Part[], beats: string, notes: readonly MelodyNote[]): PlacedSyllable[] {
  const gap = parts.length - beats.length;
  const plain = (map: (index: number) => number[], split = -1): PlacedSyllable[] =>
    parts.map(({ text, goesOn, isMain }, index) => {
      const own = map(index).filter((note) => note < beats.length);
      const isClash = isMain && own.length > 0 && index !== split && beats[own[0]!] === 'w';
      return { text, goesOn, notes: own, isSplit: index === split, isClash };
    });
  const clashes = (line: readonly PlacedSyllable[]) => line.filter(({ isClash }) => isClash).length;
  const best = (count: number, tried: (at: number) => PlacedSyllable[], length: (at: number) => number) => {
    let chosen = tried(0);
    let [fewest, longest] = [clashes(chosen), length(0)];
    for (let at = 1; at < count; at++) {
      const line = tried(at);
      const found = clashes(line);
      if (found > fewest || (found === fewest && length(at) < longest)) continue;
      [chosen, fewest, longest] = [line, found, length(at)];
    }
    return chosen;
  };
  if (gap === -1 && parts.length > 0)
    return best(
      parts.length,
      (held) => plain((index) => (index < held ? [index] : index === held ? [index, index + 1] : [index + 1])),
      (held) => notes[held]!.beats + notes[held + 1]!.beats,
    );
  if (gap === 1)
    return best(
      beats.length,
      (shared) => plain((index) => (index <= shared ? [index] : [index - 1]), shared + 1),
      (shared) => notes[shared]!.beats,
    );
  return plain((index) => [index]);
}

/** Consonants that may begin a part of a word together. */
const ONSETS = new Set(
  'tr dr br gr pr cr fr bl cl fl gl pl sl st sp sk sm sn sw tw thr shr scr str spr spl squ qu'.split(' '),
);
/** Consonants that end a part and begin none. */
const ENDS = new Set(['ck', 'ng', 'x', 'dge', 'tch', 'll', 'ss', 'ff', 'zz']);

/** A word in as many parts as it is sung in: where two words meet in it, else by its vowels and what may begin a part. */
export function syllableTexts(word: string, count: number, known: Pronunciations, accent: Accent): string[] {
  if (count <= 1) return [word];
  const bare = word.toLowerCase();
  if (word.includes('-')) return hyphened(word, count, known, accent);
  if (!/^[a-z]+$/.test(bare)) return unsplit(word, count);
  const joint = jointOf(bare, known);
  if (joint !== null) {
    const [front, back] = [bare.slice(0, joint), bare.slice(joint)];
    const inFront = vowelsOf(front, known);
    return [
      ...syllableTexts(word.slice(0, joint), inFront, known, accent),
      ...syllableTexts(word.slice(joint), Math.max(1, vowelsOf(back, known)), known, accent),
    ];
  }
  const cuts = cutsOf(bare, known, accent);
  if (cuts.length !== count - 1) return unsplit(word, count);
  return [0, ...cuts].map((from, index) => word.slice(from, cuts[index] ?? word.length));
}

const unsplit = (word: string, count: number) => [word, ...Array.from({ length: count - 1 }, () => '–')];

function hyphened(word: string, count: number, known: Pronunciations, accent: Accent): string[] {
  const parts = word
    .split('-')
    .flatMap((part) => syllableTexts(part, vowelsOf(part.toLowerCase(), known) || 1, known, accent));
  return parts.length === count ? parts : unsplit(word, count);
}

const phonesOf = (word: string, known: Pronunciations) => known.readingsOf(word)[0]?.phones ?? [];
const vowelsOf = (word: string, known: Pronunciations) => phonesOf(word, known).filter(isVowel).length;

/** Where one word ends and another begins that sound together as the whole does; null where there is no such place. */
function jointOf(word: string, known: Pronunciations): number | null {
  const whole = phonesOf(word, known).join(' ');
  for (let at = 3; at <= word.length - 3; at++) {
    const [front, back] = [phonesOf(word.slice(0, at), known), phonesOf(word.slice(at), known)];
    if (front.length > 0 && back.length > 0 && [...front, ...back].join(' ') === whole) return at;
  }
  return null;
}

/** Where the parts of a word begin in its letters, but for the first. */
function cutsOf(word: string, known: Pronunciations, accent: Accent): number[] {
  const pieces: { letters: string; from: number; isVowel: boolean }[] = [];
  let at = 0;
  let silentAt = -1;
  for (const { grapheme, phones } of wordPieces(word, known, accent).pieces) {
    if (at === silentAt) at += 1;
    const letters = grapheme.includes('_') ? grapheme.slice(0, grapheme.indexOf('_')) : grapheme;
    pieces.push({ letters, from: at, isVowel: phones.some(isVowel) });
    at += letters.length;
    if (grapheme.includes('_')) silentAt = word.indexOf('e', at + 1);
  }
  const cuts: number[] = [];
  let between: typeof pieces | null = null;
  for (const piece of pieces) {
    if (!piece.isVowel) {
      between?.push(piece);
      continue;
    }
    if (between !== null) {
      // Of what stands between two vowels the longest end that may begin a part goes with the second.
      let begin = between.length;
      for (let from = between.length - 1; from >= 0; from--) {
        const onset = between
          .slice(from)
          .map(({ letters }) => letters)
          .join('');
        const isOnset = between.length - from === 1 ? !ENDS.has(onset) : ONSETS.has(onset);
        if (!isOnset) break;
        begin = from;
      }
      const cut = between[begin] ?? piece;
      const double = between.length === 1 && /^([^aeiou])\1/.test(between[0]!.letters);
      cuts.push(double ? between[0]!.from + 1 : cut.from);
    }
    between = [];
  }
  return cuts;
}
