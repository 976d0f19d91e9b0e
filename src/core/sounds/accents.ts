import type { AlignedPiece } from './align.ts';
import { isVowel, type Phone } from './phones.ts';

/** How a programme speaks: as in North America, or as in southern Britain. */
export const ACCENTS = ['us', 'gb'] as const;
/** See `ACCENTS`. */
export type Accent = (typeof ACCENTS)[number];

/** Words whose short a is long in southern Britain; with their endings. */
const LONG_A = new Set(
  (
    'advance after afternoon answer ask aunt basket bath branch brass calf cast castle chance chant class command craft dance ' +
    'demand disaster draft example fast fasten flask france gasp glance glass graft grant graph grasp grass half lance last ' +
    'laugh laughter lather mask mast master nasty pass past path plant plaster prance raft rafter rascal rather sample shaft ' +
    'slant staff stance task telegraph trance vast bathroom grasshopper classroom sandcastle ' +
    'footpath birdbath overpass paragraph photograph autograph headmaster flasks halves calves paths'
  ).split(' '),
);
const ENDINGS = /(?:s|es|d|ed|ing|er|ers|y|ies)$/;

function hasLongA(word: string): boolean {
  const stem = word.replace(ENDINGS, '');
  return [word, stem, `${stem}e`].some((form) => LONG_A.has(form)) || LONG_A.has(word.replace(/s$/, ''));
}

/** What becomes of a vowel when the r behind it is not said. */
const WITHOUT_R: Readonly<Record<Phone, Phone>> = { UH: 'AO', EH: 'EHR', IH: 'IHR' };
/** Behind these a weak vowel stays where the r was: fire, hour. */
const GLIDING: ReadonlySet<Phone> = new Set(['AY', 'AW', 'OY']);
const WITH_GLIDE = new Set(['u', 'u_e', 'ue', 'ew', 'eu']);

/** The pieces of a word as an accent says them. */
export function inAccent(word: string, pieces: readonly AlignedPiece[], accent: Accent): AlignedPiece[] {
  if (accent === 'us') return pieces.map((piece) => ({ ...piece, phones: piece.phones.map(shortO) }));
  const isLong = hasLongA(word);
  return pieces.map((piece, index) => {
    const before = pieces[index - 1]?.phones.at(-1);
    const follows = pieces.slice(index + 1).find(({ phones }) => phones.length > 0)?.phones[0];
    return { ...piece, phones: british(piece, { isLong, before, follows }) };
  });
}

/** In North America the short o of hot is the vowel of father. */
const shortO = (phone: Phone): Phone => (phone === 'OH' ? 'AA' : phone);

interface Around {
  /** The word has the long a of bath. */
  readonly isLong: boolean;
  readonly before: Phone | undefined;
  readonly follows: Phone | undefined;
}

function british({ grapheme, phones }: AlignedPiece, { isLong, before, follows }: Around): Phone[] {
  let sounds = [...phones];
  if (isLong && /^(a|au|al)$/.test(grapheme)) sounds = sounds.map((phone) => (phone === 'AE' ? 'AA' : phone));
  if (grapheme === 'a' && follows === 'R') sounds = sounds.map((phone) => (phone === 'EH' ? 'AE' : phone));
  if (WITH_GLIDE.has(grapheme) && sounds[0] === 'UW' && ['T', 'D', 'N'].includes(before ?? '')) sounds.unshift('Y');
  if (sounds.at(-1) !== 'R' || (follows !== undefined && isVowel(follows))) return sounds;
  const vowel = sounds.at(-2) ?? before;
  if (vowel !== undefined && GLIDING.has(vowel)) return [...sounds.slice(0, -1), 'AH'];
  if (sounds.length === 1) return vowel !== undefined && isVowel(vowel) ? [] : sounds;
  return [...sounds.slice(0, -2), WITHOUT_R[vowel!] ?? vowel!];
}
