/** Where a stroke goes. */
const STROKE_WAYS = [
  'down',
  'below',
  'up',
  'up-tall',
  'over',
  'across',
  'round-left',
  'round-right',
  'all-round',
  'back-left',
  'back-right',
  'slant-left',
  'slant-right',
  'slant-up',
  'slant-below',
  'dot',
] as const;

/** Where a stroke goes, such as round to the left. */
type StrokeWay = (typeof STROKE_WAYS)[number];

/** For each letter where its strokes go, with a bar where the pen is lifted: as many as are said along them. */
const WAYS: Readonly<Record<string, string>> = {
  a: 'round-left up down',
  b: 'down up over round-left',
  c: 'round-left',
  d: 'round-left up-tall down',
  e: 'across round-left',
  f: 'round-left down|across',
  g: 'round-left up below round-left',
  h: 'down up over down',
  i: 'down|dot',
  j: 'below round-left|dot',
  k: 'down|slant-left slant-right',
  l: 'down',
  m: 'down up over down up over down',
  n: 'down up over down',
  o: 'all-round',
  p: 'below up over round-left',
  q: 'round-left up below',
  r: 'down up over',
  s: 'round-left back-right round-left',
  t: 'down round-right|across',
  u: 'down round-right up down',
  v: 'slant-right slant-up',
  w: 'slant-right slant-up slant-right slant-up',
  x: 'slant-right|slant-left',
  y: 'slant-right|slant-below',
  z: 'across slant-left across',
  A: 'slant-left|slant-right|across',
  B: 'down|round-right round-right',
  C: 'round-left',
  D: 'down|round-right',
  E: 'down|across|across|across',
  F: 'down|across|across',
  G: 'round-left back-left',
  H: 'down|down|across',
  I: 'down',
  J: 'down round-left',
  K: 'down|slant-left slant-right',
  L: 'down across',
  M: 'down|slant-right slant-up down',
  N: 'down|slant-right up',
  O: 'all-round',
  P: 'down|round-right',
  Q: 'all-round|slant-right',
  R: 'down|round-right slant-right',
  S: 'round-left back-right round-left',
  T: 'down|across',
  U: 'down round-right up',
  V: 'slant-right slant-up',
  W: 'slant-right slant-up slant-right slant-up',
  X: 'slant-right|slant-left',
  Y: 'slant-right|slant-left down',
  Z: 'across slant-left across',
};

const isWay = (word: string): word is StrokeWay => STROKE_WAYS.some((way) => way === word);

/** Where the strokes of a letter go, one for each beat that is said along it; nothing for what is no letter. */
export function strokeWays(letter: string): readonly StrokeWay[] {
  return Object.hasOwn(WAYS, letter) ? WAYS[letter]!.split(/[ |]/).filter(isWay) : [];
}
