import type { Shape } from './drawing.ts';

/** A place on the middle of a line, from the left and the top of its box. */
export type Point = readonly [number, number];

/** A stroke as points along the middle of its line, in the order in which it is drawn; one point is a dot. */
export type Stroke = readonly Point[];

/** Part of an ellipse, from an angle to an angle in degrees: 0 is right, 90 is up; the long way round is negative or positive as given. */
export function arc(cx: number, cy: number, [rx, ry]: Point, from: number, to: number): Point[] {
  const steps = Math.max(6, Math.round(Math.abs(to - from) / 12));
  return Array.from({ length: steps + 1 }, (_, step) => {
    const angle = ((from + ((to - from) * step) / steps) * Math.PI) / 180;
    return [cx + Math.cos(angle) * rx, cy - Math.sin(angle) * ry] as const;
  });
}

/** How thick the road of a stroke is, in units of its box. */
export const ROAD = 10;
/** Curves are broken into pieces this long, so that a broken line along them is broken. */
const DASH = 9;
/** From this size on a stroke has its middle, its number and its arrow; smaller ones are a road with a dot. */
const LARGE = 0.2;
/** How far along a stroke its first arrow stands. */
const ARROW_AT = 17;

/** Strokes as a pale road, its middle as a broken line with an arrow, and a dot with a number where each begins. */
export function tracedStrokes(
  strokes: readonly Stroke[],
  { factor, x: left, y: top }: { factor: number; x: number; y: number },
): Shape[] {
  const at = ([x, y]: Point): Point => [left + x * factor, top + y * factor];
  const roads = strokes.flatMap((points) => [
    ...lineAlong(points.map(at), { stroke: 'line', width: ROAD * factor }),
    ...points.map((point): Shape => {
      const [x, y] = at(point);
      return { kind: 'circle', x, y, r: (ROAD / 2) * factor, fill: 'line' };
    }),
  ]);
  const isLarge = factor >= LARGE;
  const middles = isLarge
    ? strokes.flatMap((points) =>
        lineAlong(everySoOften(points).map(at), { stroke: 'ink', width: 0.5, isDashed: true }),
      )
    : [];
  const r = Math.max(0.8, 4 * factor);
  const taken: Point[] = [];
  const starts = strokes.map((points) => {
    // Where a stroke begins on the start of another, its dot stands a little further on.
    let along = 0;
    while (taken.some((point) => distance(point, placeAlong(points, along)) * factor < r * 2) && along < ROAD * 4)
      along += 2;
    const point = placeAlong(points, along);
    taken.push(point);
    return { at: at(point), along };
  });
  const arrows = isLarge ? strokes.flatMap((points, index) => arrow(points, starts[index]!.along + ARROW_AT, at)) : [];
  const dots = starts.flatMap(({ at: [x, y] }, index): Shape[] => [
    { kind: 'circle', x, y, r, fill: 'teal' },
    ...(isLarge ? [startNumber(index + 1, [x, y], r)] : []),
  ]);
  return [...roads, ...middles, ...arrows, ...dots];
}

function startNumber(number: number, [x, y]: Point, r: number): Shape {
  return {
    kind: 'text',
    x,
    y: y + r * 0.5,
    size: r * 1.4,
    text: String(number),
    align: 'middle',
    fill: 'white',
    isBold: true,
  };
}

function lineAlong(
  points: readonly Point[],
  ink: Pick<Extract<Shape, { kind: 'line' }>, 'stroke' | 'width' | 'isDashed'>,
): Shape[] {
  return points.slice(1).map((point, index): Shape => {
    const [x1, y1] = points[index]!;
    return { kind: 'line', x1, y1, x2: point[0], y2: point[1], ...ink };
  });
}

/** A small arrow head on a stroke, so far along it; none on a stroke that is shorter. */
function arrow(points: Stroke, along: number, at: (point: Point) => Point): Shape[] {
  if (lengthOf(points) < along + 4) return [];
  const [tip, behind] = [placeAlong(points, along + 4), placeAlong(points, along - 3)];
  const [dx, dy] = [tip[0] - behind[0], tip[1] - behind[1]];
  const size = Math.hypot(dx, dy) || 1;
  const half = 3;
  const [sx, sy] = [(-dy / size) * half, (dx / size) * half];
  const corners: Point[] = [tip, [behind[0] + sx, behind[1] + sy], [behind[0] - sx, behind[1] - sy]];
  return [{ kind: 'polygon', points: corners.map(at), fill: 'teal' }];
}

const distance = ([x1, y1]: Point, [x2, y2]: Point) => Math.hypot(x2 - x1, y2 - y1);

/** How long a stroke is; a dot has no length. */
export function lengthOf(points: Stroke): number {
  return points.slice(1).reduce((sum, point, index) => sum + distance(points[index]!, point), 0);
}

/** The place so far along a stroke; its end where it is shorter. */
function placeAlong(points: Stroke, along: number): Point {
  let left = along;
  for (let index = 1; index < points.length; index++) {
    const [from, to] = [points[index - 1]!, points[index]!];
    const step = distance(from, to);
    if (left <= step && step > 0)
      return [from[0] + ((to[0] - from[0]) * left) / step, from[1] + ((to[1] - from[1]) * left) / step];
    left -= step;
  }
  return points.at(-1)!;
}

/** Curves have many points; a broken line along all of them would not be broken. Corners stay. */
function everySoOften(points: Stroke): Stroke {
  const kept: Point[] = [];
  points.forEach((point, index) => {
    const isEnd = index === 0 || index === points.length - 1;
    if (isEnd || distance(kept.at(-1)!, point) >= DASH || isCorner(points, index)) kept.push(point);
  });
  return kept;
}

function isCorner(points: Stroke, index: number): boolean {
  const [before, here, after] = [points[index - 1]!, points[index]!, points[index + 1]!];
  const turn =
    Math.atan2(after[1] - here[1], after[0] - here[0]) - Math.atan2(here[1] - before[1], here[0] - before[0]);
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) > 0.6;
}
