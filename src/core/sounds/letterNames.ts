import type { Accent } from './accents.ts';

/** What the letters are called, written as they are said. */
const NAMES: Readonly<Record<string, string>> = {
  a: 'ay',
  b: 'bee',
  c: 'see',
  d: 'dee',
  e: 'ee',
  f: 'eff',
  g: 'jee',
  h: 'aitch',
  i: 'eye',
  j: 'jay',
  k: 'kay',
  l: 'ell',
  m: 'em',
  n: 'en',
  o: 'oh',
  p: 'pee',
  q: 'cue',
  r: 'ar',
  s: 'ess',
  t: 'tee',
  u: 'you',
  v: 'vee',
  w: 'double you',
  x: 'ex',
  y: 'why',
  z: 'zed',
};

/** What letters are called, one after the other; what is no letter from a to z is left out. */
export function letterNames(letters: string, accent: Accent): string {
  return [...letters.toLowerCase()]
    .flatMap((letter) => (letter === 'z' && accent === 'us' ? ['zee'] : (NAMES[letter] ?? [])))
    .join(', ');
}
