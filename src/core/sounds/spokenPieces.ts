import { shown, type Phone } from './phones.ts';
import type { AlignedPiece } from './align.ts';
import type { WordPieces } from './wordPieces.ts';

/** How a sound is written so that an adult who reads it says the sound and not the name of a letter. */
export const SPOKEN: Readonly<Record<Phone, string>> = {
  AA: 'ah',
  AE: 'a',
  AH: 'u',
  AO: 'aw',
  AW: 'ow',
  AY: 'igh',
  EH: 'e',
  ER: 'er',
  EY: 'ay',
  IH: 'i',
  IY: 'ee',
  OW: 'oa',
  OY: 'oy',
  UH: 'oo',
  UW: 'oo',
  OH: 'o',
  EHR: 'air',
  IHR: 'ear',
  B: 'b',
  CH: 'ch',
  D: 'd',
  DH: 'th',
  F: 'f',
  G: 'g',
  HH: 'h',
  JH: 'j',
  K: 'c',
  L: 'l',
  M: 'm',
  N: 'n',
  NG: 'ng',
  P: 'p',
  R: 'r',
  S: 's',
  SH: 'sh',
  T: 't',
  TH: 'th',
  V: 'v',
  W: 'w',
  Y: 'y',
  Z: 'z',
  ZH: 'zh',
};

/** From this cost on the letters of a piece would be read otherwise. */
const MISLEADING = 2;

/** The pieces of a word as they are said one by one; two sounds of one piece stay together only where their letters say so. */
export function spokenPieces({ pieces }: Pick<WordPieces, 'pieces'>): string[] {
  return pieces.flatMap((piece) => (piece.phones.length === 0 ? [] : spoken(piece)));
}

function spoken({ grapheme, phones, cost }: AlignedPiece): string[] {
  // The letters c of city and ee of see are as they are said; c of ice, kn of knee and a split vowel are not.
  const isPlain =
    cost < MISLEADING &&
    !grapheme.includes('_') &&
    !/^(kn|wr|ph|le|ce|ge|se|ve|ze|dge|tch|mb|y|x|qu|ow|ea|oo|th)$/.test(grapheme);
  if (isPlain) return [grapheme.length > 1 && /^([^aeiou])\1$/.test(grapheme) ? grapheme[0]! : grapheme];
  if (grapheme === 'oo' || grapheme === 'th' || grapheme === 'ow')
    return [grapheme === 'ow' && phones[0] === 'OW' ? 'oa' : grapheme];
  const written = phones.map((phone) => SPOKEN[phone] ?? shown(phone).toLowerCase());
  // The k of box and queen is no c: nobody writes c and s for it.
  return /^(x|qu)$/.test(grapheme) ? written.map((sound) => (sound === 'c' ? 'k' : sound)) : [written.join('')];
}
