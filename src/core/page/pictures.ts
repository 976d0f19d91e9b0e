import { CAP_HEIGHT, fittingSize } from './text.ts';
import type { Drawing, Ink, Shape } from './drawing.ts';

/** Colours that are drawn as they are called. */
const NAMED_INKS: Readonly<Record<string, Ink>> = {
  red: 'red',
  blue: 'blue',
  yellow: 'yellow',
  green: 'green',
  grey: 'grey',
  white: 'white',
  black: 'ink',
};

/** The ink of a colour that is named; undefined for any other word. */
export function inkNamed(name: string): Ink | undefined {
  return Object.hasOwn(NAMED_INKS, name) ? NAMED_INKS[name] : undefined;
}

/** A box of a size with words in its middle, as a card, a place or a field of a table. */
export function labelled(
  text: string,
  { width, height, size = 7, fill = 'white' }: { width: number; height: number; size?: number; fill?: Ink },
): Drawing {
  const fitted = fittingSize(text, width * 0.9, size);
  return {
    width,
    height,
    shapes: [
      { kind: 'rect', x: 0.5, y: 0.5, w: width - 1, h: height - 1, stroke: 'ink', width: 0.4, fill, radius: 1.5 },
      { kind: 'text', x: width / 2, y: height / 2 + (fitted * CAP_HEIGHT) / 2, size: fitted, text, align: 'middle' },
    ],
  };
}

/** A table to write in: a head row, and empty rows below, so many millimetres wide. */
export function emptyTable(heads: readonly string[], rows: number, width: number): Drawing {
  const column = width / heads.length;
  const height = 14;
  const field = (x: number, y: number): Shape => ({
    kind: 'rect',
    x,
    y,
    w: column,
    h: height,
    stroke: 'ink',
    width: 0.3,
  });
  return {
    width,
    height: (rows + 1) * height,
    shapes: heads.flatMap((head, index) => [
      ...Array.from({ length: rows + 1 }, (_, row) => field(index * column, row * height)),
      {
        kind: 'text' as const,
        x: index * column + 3,
        y: height / 2 + 2,
        size: fittingSize(head, column - 6, 5.5),
        text: head,
        isBold: true,
      },
    ]),
  };
}

/** The net of a cube to cut and fold, with tabs to stick; a word on each of its six sides. */
export function dieNet(words: readonly string[], side: number): Drawing {
  const tab = side * 0.18;
  const places = [
    [1, 0],
    [0, 1],
    [1, 1],
    [2, 1],
    [3, 1],
    [1, 2],
  ] as const;
  const faces = places.flatMap(([column, row], index): Shape[] => {
    const [x, y] = [column * side + tab, row * side + tab];
    const size = fittingSize(words[index] ?? '', side * 0.84, side * 0.24);
    return [
      { kind: 'rect', x, y, w: side, h: side, stroke: 'ink', width: 0.4 },
      { kind: 'text', x: x + side / 2, y: y + side / 2 + size / 3, size, text: words[index] ?? '', align: 'middle' },
    ];
  });
  const flap = (x: number, y: number, isAcross: boolean, outward: 1 | -1): Shape => {
    const inset = side * 0.12;
    const points: readonly (readonly [number, number])[] = isAcross
      ? [
          [x, y],
          [x + inset, y + outward * tab],
          [x + side - inset, y + outward * tab],
          [x + side, y],
        ]
      : [
          [x, y],
          [x + outward * tab, y + inset],
          [x + outward * tab, y + side - inset],
          [x, y + side],
        ];
    return { kind: 'polygon', points, stroke: 'soft', width: 0.3, isDashed: true };
  };
  const at = (column: number) => column * side + tab;
  const flaps = [
    ...[0, 2, 3].flatMap((column) => [flap(at(column), at(1), true, -1), flap(at(column), at(2), true, 1)]),
    flap(at(0), at(1), false, -1),
  ];
  return { width: 4 * side + 2 * tab, height: 3 * side + 2 * tab, shapes: [...faces, ...flaps] };
}

/** A regular shape with so many sides, its point or side up; none or fewer than three sides is a circle. */
export function regularShape(sides: number, size: number, fill: Ink = 'pale'): Drawing {
  const r = size / 2 - 1;
  const middle = size / 2;
  if (sides < 3)
    return {
      width: size,
      height: size,
      shapes: [{ kind: 'circle', x: middle, y: middle, r, fill, stroke: 'ink', width: 0.8 }],
    };
  const turn = sides % 2 === 0 ? Math.PI / sides : 0;
  const points = Array.from({ length: sides }, (_, corner) => {
    const angle = (corner * 2 * Math.PI) / sides - Math.PI / 2 + turn;
    return [middle + Math.cos(angle) * r, middle + Math.sin(angle) * r] as const;
  });
  return { width: size, height: size, shapes: [{ kind: 'polygon', points, fill, stroke: 'ink', width: 0.8 }] };
}
