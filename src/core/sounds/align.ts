import { CORRESPONDENCES, type Correspondence } from './correspondences.ts';
import { isVowel, type Phone } from './phones.ts';

/** A piece of a word: the letters that spell a sound together, and the sound or sounds. */
export interface AlignedPiece {
  /** As written, save a vowel that is split by a consonant: `a_e`, at its first letter. */
  readonly grapheme: string;
  readonly phones: readonly Phone[];
  /** 1 is what is taught first; from `IRREGULAR` on the piece is tricky. */
  readonly cost: number;
}

/** A word in pieces, and how uncommon they are together. */
export interface Alignment {
  readonly pieces: readonly AlignedPiece[];
  readonly cost: number;
}

const WHOLE: ReadonlyMap<string, readonly Correspondence[]> = byFirstLetter(
  CORRESPONDENCES.filter(({ grapheme }) => !grapheme.includes('_')),
);
const SPLIT: ReadonlyMap<string, readonly Correspondence[]> = byFirstLetter(
  CORRESPONDENCES.filter(({ grapheme }) => grapheme.includes('_')),
);

function byFirstLetter(list: readonly Correspondence[]): Map<string, Correspondence[]> {
  const map = new Map<string, Correspondence[]>();
  for (const entry of list) map.set(entry.grapheme[0]!, [...(map.get(entry.grapheme[0]!) ?? []), entry]);
  return map;
}

const VOWEL_LETTERS = 'aeiouy';
/** What may stand behind the e of a split vowel. */
const AFTER_SPLIT = /^(|s|d|r|rs|ly|ful|less|ment|ness)$/;

/**
 * The cheapest way to divide a word's letters among its sounds; null when there is none. Letters are small a to z. Takes time in
 * proportion to letters × sounds, whatever they are.
 */
export function align(word: string, phones: readonly Phone[]): Alignment | null {
  const variants = withSplitR(phones);
  let best: Alignment | null = null;
  for (const [index, variant] of variants.entries()) {
    const found = new Aligner(word, variant).best();
    if (found && (!best || found.cost + index < best.cost)) best = { ...found, cost: found.cost + index };
  }
  return best;
}

/** The sounds, and the sounds with each r-vowel before a vowel taken as a weak vowel and an r: hurry, carriage. */
function withSplitR(phones: readonly Phone[]): readonly (readonly Phone[])[] {
  const isSplit = (index: number) => phones[index] === 'ER' && isVowel(phones[index + 1] ?? '');
  if (!phones.some((_, index) => isSplit(index))) return [phones];
  return [phones, phones.flatMap((phone, index) => (isSplit(index) ? ['AH', 'R'] : [phone]))];
}

/** Endings to which a d is added: settled, fired. */
const BEFORE_D = new Set(['le', 'ire', 'ure', 'ore', 'are']);

interface Step {
  readonly cost: number;
  readonly piece: AlignedPiece | null;
  readonly next: number;
}

const NO_PENDING = 0;

class Aligner {
  readonly #word: string;
  readonly #phones: readonly Phone[];
  readonly #steps = new Map<number, Step | null>();

  constructor(word: string, phones: readonly Phone[]) {
    this.#word = word;
    this.#phones = phones;
  }

  best(): Alignment | null {
    const start = this.#key(0, 0, NO_PENDING);
    const cost = this.#costFrom(0, 0, NO_PENDING);
    if (cost === Infinity) return null;
    const pieces: AlignedPiece[] = [];
    for (let key = start; ;) {
      const step = this.#steps.get(key);
      if (!step) return { pieces, cost };
      if (step.piece) pieces.push(step.piece);
      if (step.next < 0) return { pieces, cost };
      key = step.next;
    }
  }

  /** Where the e of an open split vowel stands counts from the letter: 0 none, else 1 to 3. */
  #key(letter: number, phone: number, pending: number): number {
    return (letter * (this.#phones.length + 1) + phone) * 4 + pending;
  }

  #costFrom(letter: number, phone: number, pending: number): number {
    const key = this.#key(letter, phone, pending);
    const known = this.#steps.get(key);
    if (known !== undefined) return known?.cost ?? Infinity;
    const step = this.#bestStep(letter, phone, pending);
    this.#steps.set(key, step);
    return step?.cost ?? Infinity;
  }

  #bestStep(letter: number, phone: number, pending: number): Step | null {
    if (letter === this.#word.length)
      return phone === this.#phones.length && pending === NO_PENDING ? { cost: 0, piece: null, next: -1 } : null;
    if (pending === 1) return this.#continue(null, { letter: letter + 1, phone, pending: NO_PENDING });
    let best: Step | null = null;
    const consider = (step: Step | null) => {
      if (step && (!best || step.cost < best.cost)) best = step;
    };
    for (const choice of WHOLE.get(this.#word[letter]!) ?? [])
      consider(this.#wholePiece(choice, { letter, phone, pending }));
    if (pending === NO_PENDING)
      for (const choice of SPLIT.get(this.#word[letter]!) ?? []) consider(this.#splitPiece(choice, letter, phone));
    return best;
  }

  #wholePiece(choice: Correspondence, { letter, phone, pending }: { letter: number; phone: number; pending: number }) {
    const { grapheme } = choice;
    const size = grapheme.length;
    if (!this.#word.startsWith(grapheme, letter) || !this.#fitsPlace(choice, letter)) return null;
    // Within a split vowel stand consonants, none of which reaches past its e.
    if (pending !== NO_PENDING && (size >= pending || VOWEL_LETTERS.includes(grapheme[0]!))) return null;
    const phones = this.#matched(choice, phone, letter);
    if (!phones) return null;
    const piece = { grapheme, phones, cost: choice.cost };
    const rest = { letter: letter + size, phone: phone + choice.phones.length, pending: pending && pending - size };
    return this.#continue(piece, rest);
  }

  #splitPiece(choice: Correspondence, letter: number, phone: number): Step | null {
    const phones = this.#matched(choice, phone, letter);
    if (!phones) return null;
    let best: Step | null = null;
    for (const gap of [1, 2]) {
      const end = letter + 1 + gap;
      const between = this.#word.slice(letter + 1, end);
      if (this.#word[end] !== 'e' || [...between].some((one) => 'aeiou'.includes(one))) continue;
      if (!AFTER_SPLIT.test(this.#word.slice(end + 1))) continue;
      const step = this.#continue(
        { grapheme: choice.grapheme, phones, cost: choice.cost },
        { letter: letter + 1, phone: phone + choice.phones.length, pending: gap + 1 },
      );
      if (step && (!best || step.cost < best.cost)) best = step;
    }
    return best;
  }

  #continue(
    piece: AlignedPiece | null,
    { letter, phone, pending }: { letter: number; phone: number; pending: number },
  ) {
    const cost = (piece?.cost ?? 0) + this.#costFrom(letter, phone, pending);
    return cost === Infinity ? null : { cost, piece, next: this.#key(letter, phone, pending) };
  }

  #fitsPlace({ grapheme, at }: Correspondence, letter: number): boolean {
    if (at === 'start') return letter === 0;
    const rest = this.#word.slice(letter + grapheme.length);
    return at !== 'end' || rest === '' || rest === 's' || (rest === 'd' && BEFORE_D.has(grapheme));
  }

  /** The sounds that the letters stand for here; null when those of the word are others. */
  #matched({ grapheme, phones }: Correspondence, at: number, letter: number): readonly Phone[] | null {
    for (const [index, wanted] of phones.entries()) {
      const heard = this.#phones[at + index];
      if (heard !== wanted && !(wanted === 'OH' && (heard === 'AA' || heard === 'AO'))) return null;
    }
    return this.#isPossible(grapheme, phones.join('+'), letter) ? phones : null;
  }

  #isPossible(grapheme: string, sound: string, letter: number): boolean {
    const before = this.#word[letter - 1] ?? '';
    const next = this.#word[letter + grapheme.length] ?? '';
    const isSoft = 'eiy'.includes(next) && next !== '';
    switch (`${grapheme} ${sound}`) {
      case 'c S':
        return isSoft;
      case 'g JH':
        return isSoft || next === 'a';
      case 'c K':
        return !isSoft;
      case 'al AO':
        return next !== 'l';
      case 'n NG':
        return next !== '' && 'kgcqx'.includes(next);
      case 'x Z':
        return letter === 0;
      case 'a OH':
        return 'wu'.includes(before) && before !== '';
      case 'u W':
        return 'gqs'.includes(before) && before !== '';
      case 'y Y':
        return letter === 0 || ('aeiou'.includes(next) && next !== '');
      case 'i Y':
        return 'aeou'.includes(next) && next !== '';
      default:
        return true;
    }
  }
}
