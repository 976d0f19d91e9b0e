import {
  type Accent,
  FIRST_SOUNDS,
  type Phone,
  type Pronunciations,
  readingsInPieces,
  shown,
  type WordPieces,
} from '../sounds/index.ts';

/** Why the letter of a word misleads: it starts with this letter, but with that sound. */
export interface SpellingTrap {
  readonly word: string;
  /** How it begins as written, such as `sh` or `c`. */
  readonly written: string;
  /** The sound it begins with. */
  readonly sound: Phone;
  /** The sound that its first letter usually stands for. */
  readonly usual: Phone;
}

/** Words by whether they start with a sound. */
export interface Starts {
  readonly yes: readonly string[];
  readonly no: readonly string[];
  readonly traps: readonly SpellingTrap[];
  /** Words that are said in two ways, of which one starts so. */
  readonly unsure: readonly string[];
}

/** Which words start with a sound (by its shown symbol), and where the spelling says otherwise. No words: nothing. */
export function findStarts(sound: Phone, words: readonly string[], known: Pronunciations, accent: Accent): Starts {
  const judged = [...new Set(words)].map((word) => judge(sound, word, known, accent));
  const at = (verdict: string) => judged.filter((one) => one.verdict === verdict).map(({ word }) => word);
  return {
    yes: at('yes'),
    no: at('no'),
    unsure: at('unsure'),
    traps: judged.flatMap(({ trap }) => (trap ? [trap] : [])),
  };
}

interface Judged {
  readonly word: string;
  readonly verdict: 'yes' | 'no' | 'unsure';
  readonly trap: SpellingTrap | null;
}

function judge(sound: Phone, word: string, known: Pronunciations, accent: Accent): Judged {
  const readings = readingsInPieces(word, known, accent);
  const verdicts = new Set(readings.map((reading) => firstSound(reading) === sound));
  if (verdicts.size > 1) return { word, verdict: 'unsure', trap: null };
  const isIn = verdicts.has(true);
  return { word, verdict: isIn ? 'yes' : 'no', trap: trapOf(sound, readings[0]!, isIn) };
}

/** The sound a word starts with, by its shown symbol; undefined for one without sounds. */
export function firstSound({ pieces }: Pick<WordPieces, 'pieces'>): Phone | undefined {
  const phone = pieces.find(({ phones }) => phones.length > 0)?.phones[0];
  return phone && shown(phone);
}

/** A letter can name its long vowel, too. */
const LONG: Readonly<Record<string, readonly Phone[]>> = { a: ['EY'], e: ['IY'], i: ['AY'], o: ['OW'], u: ['UW', 'Y'] };
/** Two letters that are taught as one from the start, so that nobody takes their first for the sound. */
const TAUGHT_AS_ONE = new Set(['sh', 'ch', 'th', 'wh', 'qu']);

function trapOf(sound: Phone, { word, pieces }: WordPieces, isIn: boolean): SpellingTrap | null {
  const letter = word[0]!;
  const usual = FIRST_SOUNDS.get(letter)?.split(' ')[0] ?? '';
  const written = pieces[0]?.grapheme ?? letter;
  const heard = firstSound({ pieces }) ?? '';
  const isLongVowel = LONG[letter]?.includes(heard) ?? false;
  if (isIn) {
    const isAsTaught =
      usual === heard ||
      isLongVowel ||
      (TAUGHT_AS_ONE.has(written) && FIRST_SOUNDS.get(written)?.split(' ')[0] === heard);
    return isAsTaught ? null : { word, written, sound: heard, usual };
  }
  const misleads =
    usual === sound || LONG[letter]?.includes(sound) === true || FIRST_SOUNDS.get(written)?.split(' ')[0] === sound;
  return misleads ? { word, written, sound: heard, usual } : null;
}
