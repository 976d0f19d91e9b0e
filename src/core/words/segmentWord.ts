import {
  type Accent,
  FIRST_SOUNDS,
  type Pronunciations,
  shown,
  trickyPiece,
  wordPieces,
  type WordPieces,
} from '../sounds/index.ts';

/** How a piece is marked below the word: a dot under one letter, a bar under two or more, an arc for letters apart. */
type Mark = 'dot' | 'bar' | 'arc';

/** Graphemes group by group, in the order in which a programme teaches them. */
export type SoundOrder = readonly (readonly string[])[];

/** A word divided, and whether it can be read at a point of an order. */
export interface SegmentedWord {
  readonly word: string;
  readonly graphemes: readonly string[];
  /** For each piece its sounds, two with a blank between; empty where the letters are silent. */
  readonly sounds: readonly string[];
  readonly marks: readonly Mark[];
  readonly decodable: boolean;
  /** Graphemes that are not taught yet, or not for the sound they have here; each once. */
  readonly unknown: readonly string[];
  readonly source: WordPieces['source'];
  /** The piece in which an irregular word is tricky. */
  readonly tricky?: string | undefined;
}

/** Our own order of the graphemes of English: short words can be read from the first group on. */
export const USUAL_ORDER: SoundOrder = [
  ['m', 'a', 's', 't'],
  ['i', 'n', 'p', 'o'],
  ['d', 'c', 'g', 'b'],
  ['h', 'e', 'r', 'l'],
  ['u', 'f', 'k', 'j'],
  ['w', 'v', 'y', 'z'],
  ['x', 'qu', 'ck', 'll', 'ss', 'ff', 'zz'],
  ['sh', 'ch', 'th', 'ng', 'nk'],
];

/** The graphemes taught in the first groups of an order; written with a hyphen or a line, a split vowel is the same. */
export function taughtGraphemes(order: SoundOrder, upTo: number = order.length): Set<string> {
  return new Set(
    order
      .slice(0, Math.max(0, upTo))
      .flat()
      .map((grapheme) => grapheme.trim().toLowerCase().replace('-', '_')),
  );
}

/** Divides a word in small letters a to z. */
export function segmentWord(
  word: string,
  { known, accent, taught }: { known: Pronunciations; accent: Accent; taught: ReadonlySet<string> },
): SegmentedWord {
  const divided = wordPieces(word, known, accent);
  const { pieces, source } = divided;
  const sounds = pieces.map(({ phones }) => phones.map(shown).join(' '));
  const graphemes = pieces.map(({ grapheme }) => grapheme);
  const unknown = lackingGraphemes({ graphemes, sounds }, taught);
  const tricky = trickyPiece(divided)?.grapheme;
  return {
    word,
    graphemes,
    sounds,
    marks: graphemes.map(markOf),
    decodable: unknown.length === 0,
    unknown,
    source,
    ...(tricky !== undefined && { tricky }),
  };
}

const markOf = (grapheme: string): Mark => (grapheme.includes('_') ? 'arc' : grapheme.length > 1 ? 'bar' : 'dot');

/** What of a divided word is not taught yet, or not for the sound it has here; each once. */
export function lackingGraphemes(
  { graphemes, sounds }: Pick<SegmentedWord, 'graphemes' | 'sounds'>,
  taught: ReadonlySet<string>,
): string[] {
  const unknown = graphemes.flatMap((grapheme, index) => {
    const sound = sounds[index]!;
    // The n of bank is taught with nk, as one.
    if (grapheme === 'n' && sound === 'NG' && graphemes[index + 1] === 'k') return taught.has('nk') ? [] : ['nk'];
    if (grapheme === 'k' && graphemes[index - 1] === 'n' && taught.has('nk')) return [];
    return taught.has(grapheme) && isFirstSound(grapheme, sound) ? [] : [grapheme];
  });
  return [...new Set(unknown)];
}

/** British sounds lack the r after a vowel. */
function isFirstSound(grapheme: string, sound: string): boolean {
  const first = FIRST_SOUNDS.get(grapheme);
  return first === sound || (first?.endsWith(' R') === true && first.slice(0, -2) === sound) || `Y ${first}` === sound;
}
