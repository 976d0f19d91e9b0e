import { align, type Alignment, type AlignedPiece } from './align.ts';
import { inAccent, type Accent } from './accents.ts';
import { FIRST_SOUNDS, GUESSED, IRREGULAR } from './correspondences.ts';
import { OVERRIDE_BY_WORD } from './overrides.ts';
import { isVowel, type Phone, type Reading } from './phones.ts';
import type { Pronunciations } from './pronunciations.ts';

/** A word as its letters spell it: pieces with their sounds in an accent. */
export interface WordPieces {
  readonly word: string;
  readonly pieces: readonly AlignedPiece[];
  /** Stress of each vowel in order: 1 main, 2 second, 0 none; empty when only guessed. */
  readonly stress: readonly number[];
  /** Whether its sounds are known, or were guessed from its letters. */
  readonly source: 'dictionary' | 'rules';
}

/**
 * Words that were divided lately, for each set of pronunciations: makers ask about the same pictures at every turn of a dial. Nothing
 * differs by what is remembered.
 */
const DIVIDED = new WeakMap<Pronunciations, Map<string, readonly WordPieces[]>>();
const MOST_REMEMBERED = 4000;

/** Every way of saying a word, each divided into pieces; one that is guessed from the letters where none is known. */
export function readingsInPieces(word: string, known: Pronunciations, accent: Accent): readonly WordPieces[] {
  let remembered = DIVIDED.get(known);
  if (!remembered) DIVIDED.set(known, (remembered = new Map()));
  const name = `${accent} ${word}`;
  const found = remembered.get(name);
  if (found) return found;
  const readings = divideReadings(word, known, accent);
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  remembered.set(name, readings);
  return readings;
}

function divideReadings(word: string, known: Pronunciations, accent: Accent): WordPieces[] {
  const readings = known.readingsOf(word);
  const divided = readings.flatMap((reading) => {
    const pieces = divide(word, reading, known);
    return pieces
      ? [{ word, pieces: inAccent(word, pieces, accent), stress: stressOf(reading), source: 'dictionary' as const }]
      : [];
  });
  if (divided.length > 0) return divided;
  const joined = readings.length === 0 ? compound(word, known) : null;
  if (joined) return [{ word, pieces: inAccent(word, joined, accent), stress: [], source: 'rules' }];
  return [{ word, pieces: inAccent(word, guess(word), accent), stress: [], source: 'rules' }];
}

/** The commonest way of saying a word, in pieces. */
export function wordPieces(word: string, known: Pronunciations, accent: Accent): WordPieces {
  return readingsInPieces(word, known, accent)[0]!;
}

/** Its sounds in order. */
export function soundsOf({ pieces }: Pick<WordPieces, 'pieces'>): Phone[] {
  return pieces.flatMap(({ phones }) => phones);
}

/** The piece that makes a word tricky; undefined for a regular one. */
export function trickyPiece({ pieces }: Pick<WordPieces, 'pieces'>): AlignedPiece | undefined {
  return pieces.find(({ cost }) => cost >= IRREGULAR);
}

const stressOf = ({ phones, stress }: Reading) => stress.filter((_, index) => isVowel(phones[index]!));

function divide(word: string, reading: Reading, known: Pronunciations): readonly AlignedPiece[] | null {
  const pinned = OVERRIDE_BY_WORD.get(word)?.pieces;
  if (pinned) return readPieces(pinned);
  const whole = align(word, reading.phones);
  const parts = word.length >= SHORTEST_COMPOUND ? asCompound(word, reading, known) : null;
  return parts && parts.cost <= (whole?.cost ?? Infinity) + JOINT ? parts.pieces : (whole?.pieces ?? null);
}

const readPieces = (text: string): AlignedPiece[] =>
  text.split(' ').map((part) => {
    const [grapheme, phones] = part.split(':') as [string, string];
    return { grapheme, phones: phones === '-' ? [] : phones.split('+'), cost: 1 };
  });

const SHORTEST_COMPOUND = 6;
const SHORTEST_PART = 3;
/** A word of two known words is divided where they meet even if that costs so much more. */
const JOINT = 1;

/** A word that is two known words, said as they are said: each is divided by itself. */
function asCompound(word: string, { phones }: Reading, known: Pronunciations): Alignment | null {
  for (let at = SHORTEST_PART; at <= word.length - SHORTEST_PART; at++) {
    for (const first of known.readingsOf(word.slice(0, at))) {
      if (!startsWith(phones, first.phones)) continue;
      const rest = phones.slice(first.phones.length);
      for (const second of known.readingsOf(word.slice(at))) {
        if (second.phones.length !== rest.length || !startsWith(rest, second.phones)) continue;
        const [one, other] = [align(word.slice(0, at), first.phones), align(word.slice(at), second.phones)];
        if (one && other) return { pieces: [...one.pieces, ...other.pieces], cost: one.cost + other.cost };
      }
    }
  }
  return null;
}

const startsWith = (phones: readonly Phone[], first: readonly Phone[]) =>
  first.length > 0 && first.every((phone, index) => phones[index] === phone);

/** An unknown word that is two known ones; kitten is no kit and ten. */
function compound(word: string, known: Pronunciations): AlignedPiece[] | null {
  if (word.length < SHORTEST_COMPOUND) return null;
  for (let at = SHORTEST_PART; at <= word.length - SHORTEST_PART; at++) {
    if (word[at - 1] === word[at]) continue;
    const [first] = known.readingsOf(word.slice(0, at));
    const [second] = known.readingsOf(word.slice(at));
    const [one, other] = [
      first && align(word.slice(0, at), first.phones),
      second && align(word.slice(at), second.phones),
    ];
    if (one && other) return [...one.pieces, ...other.pieces];
  }
  return null;
}

const LONGEST_GRAPHEME = 4;
/** What is guessed only where it stands at the end of a word. */
const ONLY_AT_END = new Set([
  'le',
  'ed',
  'ce',
  'ge',
  'se',
  've',
  'ze',
  'the',
  'que',
  'gue',
  'me',
  'ne',
  're',
  'te',
  'xe',
  'are',
  'ffe',
  'tte',
  'ire',
  'ere',
  'ore',
  'ure',
  'che',
  'sce',
  'ier',
  'ngue',
]);

/** Pieces guessed from the letters alone: the longest grapheme at each place, with the sound that is taught first for it. */
function guess(word: string): AlignedPiece[] {
  const split = /^(.*[^aeiou]|)([aeiou])([^aeiouwxy])e(s?)$/.exec(word);
  const splitAt = split && !/[aeiou]$/.test(split[1]!) ? split[1]!.length : -1;
  const pieces: AlignedPiece[] = [];
  for (let at = 0; at < word.length;) {
    if (at === splitAt) {
      const grapheme = `${word[at]}_e`;
      pieces.push({ grapheme, phones: FIRST_SOUNDS.get(grapheme)?.split(' ') ?? [], cost: 1 });
      at += 1;
      continue;
    }
    if (splitAt >= 0 && at === splitAt + 2) {
      at += 1;
      continue;
    }
    const grapheme = longestAt(word, at, splitAt);
    pieces.push({ grapheme, phones: guessedSound(word, at, grapheme), cost: 1 });
    at += grapheme.length;
  }
  return pieces;
}

function longestAt(word: string, at: number, splitAt: number): string {
  for (let size = Math.min(LONGEST_GRAPHEME, word.length - at); size > 1; size--) {
    const letters = word.slice(at, at + size);
    const isAtEnd = at + size === word.length;
    const crosses = splitAt >= 0 && at <= splitAt + 1 && at + size > splitAt;
    if (GUESSED.has(letters) && !crosses && (isAtEnd || !ONLY_AT_END.has(letters))) return letters;
  }
  return word[at]!;
}

function guessedSound(word: string, at: number, grapheme: string): Phone[] {
  const next = word[at + grapheme.length] ?? '';
  const isSoft = next !== '' && 'eiy'.includes(next);
  if (grapheme === 'c' && isSoft) return ['S'];
  if (grapheme === 'g' && isSoft) return ['JH'];
  if (grapheme === 'x' && at === 0) return ['Z'];
  if (grapheme === 'y' && at > 0) return [word.length > 3 ? 'IY' : 'AY'];
  if (grapheme === 'o') return ['OH'];
  return FIRST_SOUNDS.get(grapheme)?.split(' ') ?? [];
}
