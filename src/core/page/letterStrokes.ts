import type { Drawing, Shape } from './drawing.ts';
import { arc, ROAD, tracedStrokes, type Point, type Stroke } from './tracing.ts';

/** What is said while a stroke is drawn. */
export type StrokeWord = 'down' | 'up' | 'over' | 'round' | 'back' | 'across' | 'slant' | 'dot';

/** A letter as it is written. Drawn by us for this program; single-storey a and g, straight strokes without tails. */
interface LetterShape {
  readonly strokes: readonly Stroke[];
  /** For each stroke what is said along it. */
  readonly says: readonly (readonly StrokeWord[])[];
  /** Width of its box; it is 100 high from the top of tall letters to the line they stand on. */
  readonly width: number;
}

/** Small letters stand between this line and the base line. */
const X_LINE = 44;
const BASE = 100;
/** How far below the base line letters reach. */
const BELOW = 42;

type Written = readonly [string, ...Stroke[]];

/** The round part of a, d, g and q: from its upper right back round to its right side. */
const BOWL = arc(28, 72, [24, 28], 40, 360);
/** The round part of b and p: from its left over and round to it again. */
const BELLY = arc(32, 72, [24, 28], 180, -180);
const line = (...points: Point[]): Stroke => points;

/** What is said, strokes with a bar between, and the strokes. */
const SMALL: Readonly<Record<string, Written>> = {
  a: ['round up down', [...BOWL, [52, X_LINE], [52, BASE]]],
  b: ['down up over round', [[8, 0], [8, BASE], ...BELLY]],
  c: ['round', arc(32, 72, [24, 28], 45, 315)],
  d: ['round up down', [...BOWL, [52, 0], [52, BASE]]],
  e: ['across round', [[8, 72], ...arc(32, 72, [24, 28], 0, 315)]],
  f: ['round down|across', [...arc(36, 18, [18, 18], 30, 180), [18, BASE]], line([4, X_LINE], [38, X_LINE])],
  g: ['round up down round', [...BOWL, [52, X_LINE], [52, 116], ...arc(31, 116, [21, 24], 0, -140)]],
  h: ['down up over down', [[8, 0], [8, BASE], ...arc(30, 68, [22, 24], 180, 0), [52, BASE]]],
  i: ['down|dot', line([10, X_LINE], [10, BASE]), line([10, 20])],
  j: ['down round|dot', [[34, X_LINE], [34, 120], ...arc(18, 120, [16, 20], 0, -120)], line([34, 20])],
  k: ['down|back slant', line([8, 0], [8, BASE]), line([46, X_LINE], [10, 74], [50, BASE])],
  l: ['down', line([10, 0], [10, BASE])],
  m: [
    'down up over down up over down',
    [
      ...([
        [8, X_LINE],
        [8, BASE],
      ] as Point[]),
      ...arc(25, 64, [17, 20], 180, 0),
      ...([[42, BASE]] as Point[]),
      ...arc(59, 64, [17, 20], 180, 0),
      [76, BASE],
    ],
  ],
  n: ['down up over down', [[8, X_LINE], [8, BASE], ...arc(30, 68, [22, 24], 180, 0), [52, BASE]]],
  o: ['round', arc(32, 72, [24, 28], 60, 420)],
  p: ['down up over round', [[8, X_LINE], [8, BASE + BELOW - 2], ...BELLY]],
  q: ['round up down', [...BOWL, [52, X_LINE], [52, BASE + BELOW - 2]]],
  r: ['down up over', [[8, X_LINE], [8, BASE], ...arc(28, 68, [20, 24], 180, 50)]],
  s: ['round back round', [...arc(28, 58, [20, 14], 30, 270), ...arc(28, 86, [20, 14], 90, -150)]],
  t: ['down round|across', [[22, 14], [22, 84], ...arc(38, 84, [16, 16], 180, 300)], line([4, X_LINE], [42, X_LINE])],
  u: ['down round up down', [[8, X_LINE], [8, 76], ...arc(30, 76, [22, 24], 180, 360), [52, X_LINE], [52, BASE]]],
  v: ['slant up', line([6, X_LINE], [30, BASE], [54, X_LINE])],
  w: ['slant up slant up', line([4, X_LINE], [22, BASE], [40, X_LINE], [58, BASE], [76, X_LINE])],
  x: ['slant|back', line([8, X_LINE], [52, BASE]), line([52, X_LINE], [8, BASE])],
  y: ['slant|back', line([6, X_LINE], [30, 96]), line([54, X_LINE], [14, BASE + BELOW - 2])],
  z: ['across back across', line([8, X_LINE], [52, X_LINE], [8, BASE], [54, BASE])],
};

const CAPITALS: Readonly<Record<string, Written>> = {
  A: ['back|slant|across', line([34, 0], [6, BASE]), line([34, 0], [62, BASE]), line([16, 66], [52, 66])],
  B: [
    'down|round round',
    line([8, 0], [8, BASE]),
    [[8, 2], ...arc(28, 25, [22, 23], 90, -90), [8, 48], ...arc(28, 73, [26, 25], 90, -90), [8, 98]],
  ],
  C: ['round', arc(38, 50, [30, 48], 50, 310)],
  D: ['down|round', line([8, 0], [8, BASE]), [[8, 2], ...arc(24, 50, [36, 48], 90, -90), [8, 98]]],
  E: [
    'down|across|across|across',
    line([8, 0], [8, BASE]),
    line([8, 2], [52, 2]),
    line([8, 50], [44, 50]),
    line([8, 98], [52, 98]),
  ],
  F: ['down|across|across', line([8, 0], [8, BASE]), line([8, 2], [52, 2]), line([8, 50], [44, 50])],
  G: ['round back', [...arc(38, 50, [30, 48], 50, 360), [42, 50]]],
  H: ['down|down|across', line([8, 0], [8, BASE]), line([58, 0], [58, BASE]), line([8, 50], [58, 50])],
  I: ['down', line([10, 0], [10, BASE])],
  J: ['down round', [[42, 0], [42, 76], ...arc(24, 76, [18, 22], 0, -150)]],
  K: ['down|back slant', line([8, 0], [8, BASE]), line([52, 2], [10, 56], [56, 98])],
  L: ['down across', line([8, 0], [8, 98], [50, 98])],
  M: ['down|slant up down', line([8, 0], [8, BASE]), line([8, 0], [40, 76], [72, 0], [72, BASE])],
  N: ['down|slant up', line([8, 0], [8, BASE]), line([8, 0], [58, BASE], [58, 0])],
  O: ['round', arc(38, 50, [30, 48], 60, 420)],
  P: ['down|round', line([8, 0], [8, BASE]), [[8, 2], ...arc(30, 27, [24, 25], 90, -90), [8, 52]]],
  Q: ['round|slant', arc(38, 50, [30, 48], 60, 420), line([46, 74], [70, BASE])],
  R: [
    'down|round slant',
    line([8, 0], [8, BASE]),
    [[8, 2], ...arc(30, 27, [24, 25], 90, -90), [10, 52], [30, 52], [58, 98]],
  ],
  S: ['round back round', [...arc(32, 26, [24, 24], 35, 270), ...arc(32, 74, [24, 24], 90, -150)]],
  T: ['down|across', line([34, 0], [34, BASE]), line([4, 2], [64, 2])],
  U: ['down round up', [[8, 0], [8, 66], ...arc(34, 66, [26, 32], 180, 360), [60, 0]]],
  V: ['slant up', line([4, 0], [34, 98], [64, 0])],
  W: ['slant up slant up', line([4, 0], [26, 98], [48, 6], [70, 98], [92, 0])],
  X: ['slant|back', line([6, 0], [60, BASE]), line([60, 0], [6, BASE])],
  Y: ['slant|back down', line([6, 0], [34, 50]), line([62, 0], [34, 50], [34, BASE])],
  Z: ['across back across', line([6, 2], [58, 2], [6, 98], [60, 98])],
};

/** How each letter is written, by the letter. */
export const LETTER_SHAPES: ReadonlyMap<string, LetterShape> = new Map(
  Object.entries({ ...SMALL, ...CAPITALS }).map(([letter, [said, ...strokes]]) => [
    letter,
    {
      strokes,
      says: said.split('|').map((words) => words.split(' ') as StrokeWord[]),
      width: Math.max(...strokes.flat().map(([x]) => x)) + 8,
    },
  ]),
);

/** Room between two letters of a pair. */
const APART = 10;

/**
 * Letters large enough to trace, tall ones so many millimetres high, on their lines: a pale road, its middle as a broken line, and a
 * dot with a number where each stroke begins. Letters other than a to z, capital or small, are left out.
 */
export function tracedLetters(letters: string, height: number): Drawing {
  const factor = height / BASE;
  const edge = (ROAD / 2) * factor;
  let x = edge;
  let lowest = BASE;
  const shapes: Shape[] = [];
  for (const letter of letters) {
    const shape = LETTER_SHAPES.get(letter);
    if (!shape) continue;
    shapes.push(...tracedStrokes(shape.strokes, { factor, x, y: edge }));
    lowest = Math.max(lowest, ...shape.strokes.flat().map(([, y]) => y));
    x += (shape.width + APART) * factor;
  }
  const width = x + edge;
  const lines = [X_LINE, BASE].map((y): Shape => {
    // Letters stand on the line and reach to it: it runs along the edge of their road.
    const at = edge + (y === BASE ? y + ROAD / 2 : y - ROAD / 2) * factor;
    return { kind: 'line', x1: 0, y1: at, x2: width, y2: at, stroke: 'soft', width: 0.25, isDashed: y !== BASE };
  });
  return { width, height: lowest * factor + edge * 2, shapes: [...lines, ...shapes] };
}

/** What is said while a letter is written, stroke by stroke; nothing for what is no letter. */
export function saidAlong(letter: string): readonly (readonly StrokeWord[])[] {
  return LETTER_SHAPES.get(letter)?.says ?? [];
}
