import type { Drawing } from './drawing.ts';
import { arc, tracedStrokes, type Stroke } from './tracing.ts';

/**
 * How each digit is written: its strokes in order, as points along the middle of the line. The box is 60 wide and 100 high,
 * from the top left. Drawn by us for this program.
 */
const DIGIT_STROKES: Readonly<Record<string, readonly Stroke[]>> = {
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
      tracedStrokes(DIGIT_STROKES[digit]!, { factor, x: place * step + 7 * factor, y: 3 }),
    ),
  };
}
