import { inGrid, moved, type Drawing, type Ink, type Shape } from './drawing.ts';
import { CAP_HEIGHT, fittingSize } from './text.ts';

/** Where the dots of a die face lie, in thirds of its side from its middle: column, row. */
const DIE_DOTS: Readonly<Record<number, readonly (readonly [number, number])[]>> = {
  0: [],
  1: [[0, 0]],
  2: [
    [-1, -1],
    [1, 1],
  ],
  3: [
    [-1, -1],
    [0, 0],
    [1, 1],
  ],
  4: [
    [-1, -1],
    [1, -1],
    [-1, 1],
    [1, 1],
  ],
  5: [
    [-1, -1],
    [1, -1],
    [0, 0],
    [-1, 1],
    [1, 1],
  ],
  6: [
    [-1, -1],
    [1, -1],
    [-1, 0],
    [1, 0],
    [-1, 1],
    [1, 1],
  ],
};
/** A dot this large is countable from two metres: 10 mm subtends about 17 minutes of arc there. */
export const LEAST_DOT_MM = 10;

/** A dot face as on a die, 0 to 6; from 7 on two dice side by side, the six first. Dots have at least 10 mm when the side has 45. */
export function dotFace(count: number, side: number, ink: Ink = 'ink'): Drawing {
  if (count > 6) {
    const dice = [6, Math.min(6, count - 6)].map((dots, index) => {
      const x = index * side;
      // Without an edge the dots of two dice run into one field.
      const edge = { x: x + 1, y: 1, w: side - 2, h: side - 2, radius: side * 0.12 };
      return [
        { kind: 'rect', ...edge, stroke: ink, width: 0.4 } as const,
        ...moved(dotFace(dots, side, ink).shapes, x, 0),
      ];
    });
    return { width: side * 2, height: side, shapes: dice.flat() };
  }
  const step = side * 0.29;
  const r = (side / 45) * (LEAST_DOT_MM / 2);
  return {
    width: side,
    height: side,
    shapes: DIE_DOTS[count]!.map(([column, row]): Shape => ({
      kind: 'circle',
      x: side / 2 + column * step,
      y: side / 2 + row * step,
      r,
      fill: ink,
    })),
  };
}

/** Words in the middle of a card. */
export function wordCard(
  text: string,
  { width, height, most = height * 0.6, ink = 'ink' }: { width: number; height: number; most?: number; ink?: Ink },
): Drawing {
  const size = fittingSize(text, width * 0.86, most);
  return {
    width,
    height,
    shapes: [
      { kind: 'text', x: width / 2, y: height / 2 + (size * CAP_HEIGHT) / 2, size, text, align: 'middle', fill: ink },
    ],
  };
}

/** Counters in rows of five, with a gap after five, so that a glance takes them in; none gives an empty drawing. */
export function counters(count: number, { size = 8, perRow = 10, ink = 'teal' as Ink } = {}): Drawing {
  const step = size * 1.2;
  const rows = Math.max(1, Math.ceil(count / perRow));
  const gap = size * 0.6;
  return {
    width: Math.min(perRow, Math.max(1, count)) * step + (Math.min(perRow, count) > 5 ? gap : 0),
    height: rows * step,
    shapes: Array.from({ length: count }, (_, index): Shape => {
      const column = index % perRow;
      return {
        kind: 'circle',
        x: (column + 0.5) * step + (column >= 5 ? gap : 0),
        y: (Math.floor(index / perRow) + 0.5) * step,
        r: size / 2,
        fill: ink,
      };
    }),
  };
}

/** A frame of places in rows of five, so many filled; `second` places after them are filled in another ink with a ring. Filled from the left, or from the right. */
export function tenFrame(
  places: number,
  filled: number,
  { second = 0, cell = 14, perRow = 5, fromRight = false } = {},
): Drawing {
  const columns = Math.min(perRow, places);
  const rows = Math.ceil(places / columns);
  const shapes: Shape[] = [];
  for (let place = 0; place < places; place++) {
    const column = fromRight ? columns - 1 - (place % columns) : place % columns;
    const x = column * cell + 0.5;
    const y = Math.floor(place / columns) * cell + 0.5;
    shapes.push({ kind: 'rect', x, y, w: cell, h: cell, stroke: 'ink', width: 0.5, fill: 'white' });
    if (place >= filled + second) continue;
    const isSecond = place >= filled;
    shapes.push({
      kind: 'circle',
      x: x + cell / 2,
      y: y + cell / 2,
      r: cell * 0.36,
      fill: isSecond ? 'marigold' : 'teal',
    });
    if (isSecond) shapes.push({ kind: 'circle', x: x + cell / 2, y: y + cell / 2, r: cell * 0.16, fill: 'white' });
  }
  return { width: columns * cell + 1, height: rows * cell + 1, shapes };
}

/** Tally marks in bundles of five, five bundles a row; none for 0. */
export function tallyMarks(number: number): Drawing {
  const bundles = Array.from({ length: Math.ceil(number / 5) }, (_, index) => Math.min(5, number - index * 5));
  return inGrid(bundles.map(bundle), 5, 3);
}

/** Up to five strokes, the fifth across the others. */
function bundle(strokes: number): Drawing {
  const upright = Array.from({ length: Math.min(4, strokes) }, (_, index): Shape => {
    const x = 4 + index * 4;
    return { kind: 'line', x1: x, y1: 2, x2: x, y2: 18, stroke: 'ink', width: 1 };
  });
  const across: Shape[] =
    strokes === 5 ? [{ kind: 'line', x1: 1, y1: 16, x2: 19, y2: 4, stroke: 'ink', width: 1 }] : [];
  return { width: 22, height: 20, shapes: [...upright, ...across] };
}

/** A card with its edge, as it lies on a table. */
export function framedCard(drawing: Drawing): Drawing {
  const { width, height } = drawing;
  return {
    ...drawing,
    shapes: [
      { kind: 'rect', x: 0, y: 0, w: width, h: height, stroke: 'line', width: 0.4, radius: 2, fill: 'white' },
      ...drawing.shapes,
    ],
  };
}
