import type { Drawing, Shape } from './drawing.ts';

type Point = readonly [number, number];

/** Part of an ellipse, from an angle to an angle in degrees: 0 is right, 90 is up; the long way round is negative or positive as given. */
function arc(cx: number, cy: number, [rx, ry]: Point, from: number, to: number): Point[] {
  const steps = Math.max(6, Math.round(Math.abs(to - from) / 12));
  return Array.from({ length: steps + 1 }, (_, step) => {
    const angle = ((from + ((to - from) * step) / steps) * Math.PI) / 180;
    return [cx + Math.cos(angle) * rx, cy - Math.sin(angle) * ry] as const;
  });
}

/**
 * How each digit is written: its strokes in order, as points along the middle of the line. The box is 60 wide and 100 high,
 * from the top left. Drawn by us for this program.
 */
const DIGIT_STROKES: Readonly<Record<string, readonly (readonly Point[])[]>> = {
  0: [arc(30, 50, [24, 46], 60, 420)],
  1: [
    [
      [16, 24],
      [34, 4],
      [34, 96],
    ],
  ],
  2: [[...arc(30, 28, [24, 24], 165, -35), [8, 96], [54, 96]]],
  3: [[...arc(28, 27, [22, 23], 150, -90), ...arc(28, 73, [24, 23], 90, -150)]],
  4: [
    [
      [34, 4],
      [6, 64],
      [56, 64],
    ],
    [
      [42, 36],
      [42, 96],
    ],
  ],
  5: [
    [[16, 6], [13, 46], ...arc(30, 66, [24, 30], 128, -150)],
    [
      [16, 6],
      [50, 6],
    ],
  ],
  6: [[[44, 6], ...arc(46, 66, [38, 60], 110, 180), ...arc(31, 68, [23, 28], 180, 540)]],
  7: [
    [
      [8, 6],
      [52, 6],
      [22, 96],
    ],
  ],
  8: [[...arc(30, 27, [20, 23], 40, 270), ...arc(30, 73, [24, 23], 90, -270), ...arc(30, 27, [20, 23], -90, 40)]],
  9: [[...arc(29, 30, [22, 26], 20, 380), [46, 96]]],
};

/** Width and height of the box that a digit is drawn in. */
const BOX = { width: 60, height: 100 } as const;

/**
 * A numeral large enough to trace, so many millimetres high: a pale road, its middle as a broken line, and a dot with a number
 * where each stroke begins. Whole numbers from 0; several digits stand side by side.
 */
export function tracedNumeral(number: number, height: number): Drawing {
  const factor = height / BOX.height;
  const digits = [...String(number)];
  const step = (BOX.width + 14) * factor;
  return {
    width: digits.length * step,
    height: height + 6,
    shapes: digits.flatMap((digit, place) =>
      digitShapes(DIGIT_STROKES[digit]!, { factor, x: place * step + 7 * factor }),
    ),
  };
}

function digitShapes(
  strokes: readonly (readonly Point[])[],
  { factor, x: left }: { factor: number; x: number },
): Shape[] {
  const at = ([x, y]: Point): Point => [left + x * factor, 3 + y * factor];
  const along = (
    points: readonly Point[],
    ink: Pick<Extract<Shape, { kind: 'line' }>, 'stroke' | 'width' | 'isDashed'>,
  ) =>
    points.slice(1).map((point, index): Shape => {
      const [x1, y1] = at(points[index]!);
      const [x2, y2] = at(point);
      return { kind: 'line', x1, y1, x2, y2, ...ink };
    });
  const joints = (points: readonly Point[]): Shape[] =>
    points.map((point) => ({ kind: 'circle', x: at(point)[0], y: at(point)[1], r: 5 * factor, fill: 'line' }));
  return [
    ...strokes.flatMap((points) => [...along(points, { stroke: 'line', width: 10 * factor }), ...joints(points)]),
    ...strokes.flatMap((points) => along(everyOther(points), { stroke: 'ink', width: 0.5, isDashed: true })),
    ...strokes.flatMap((points, index): Shape[] => {
      const [x, y] = at(points[0]!);
      const r = Math.max(2.2, 4 * factor);
      return [
        { kind: 'circle', x, y, r, fill: 'teal' },
        {
          kind: 'text',
          x,
          y: y + r * 0.5,
          size: r * 1.4,
          text: String(index + 1),
          align: 'middle',
          fill: 'white',
          isBold: true,
        },
      ];
    }),
  ];
}

/** Curves have many points; a broken line along all of them would not be broken. */
function everyOther(points: readonly Point[]): readonly Point[] {
  return points.filter((_, index) => index % 3 === 0 || index === points.length - 1);
}
