/** Inks by the name of what they are for; each renderer has one table for them. */
export const INKS = {
  ink: '#142b27',
  soft: '#49605a',
  line: '#9fb3a8',
  white: '#ffffff',
  pale: '#eef3ef',
  teal: '#0e5a5a',
  marigold: '#e0a21b',
  mulberry: '#7e2f63',
  red: '#b3261e',
  blue: '#1f5fa8',
  yellow: '#f2c230',
  green: '#3d7d3a',
  grey: '#8a8f8d',
} as const;
/** The inks that drawings use, by name. */
export type Ink = keyof typeof INKS;

interface Inked {
  readonly fill?: Ink | undefined;
  readonly stroke?: Ink | undefined;
  /** Width of the stroke, mm. */
  readonly width?: number | undefined;
  readonly isDashed?: boolean | undefined;
}

/** What a drawing is made of. All lengths in millimetres from the left and the top. */
export type Shape =
  | (Inked & {
      readonly kind: 'rect';
      readonly x: number;
      readonly y: number;
      readonly w: number;
      readonly h: number;
      readonly radius?: number | undefined;
    })
  | (Inked & { readonly kind: 'circle'; readonly x: number; readonly y: number; readonly r: number })
  | (Inked & {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
    })
  | {
      /** A small picture by its name, as high as wide. */
      readonly kind: 'picture';
      readonly name: string;
      readonly x: number;
      readonly y: number;
      readonly w: number;
      readonly h: number;
      /** Turned to the right about its middle. */
      readonly turn?: QuarterTurn | undefined;
    }
  | (Inked & { readonly kind: 'polygon'; readonly points: readonly (readonly [number, number])[] })
  | {
      readonly kind: 'text';
      /** The left end, the middle or the right end, by `align`; y is the base line. */
      readonly x: number;
      readonly y: number;
      /** Height of the type, mm. */
      readonly size: number;
      readonly text: string;
      readonly align?: 'left' | 'middle' | 'right' | undefined;
      readonly isBold?: boolean | undefined;
      readonly fill?: Ink | undefined;
      /** Turned to the right about (x, y). */
      readonly turn?: QuarterTurn | undefined;
    };

/** Degrees to the right that writing and pictures stand turned by. */
type QuarterTurn = 0 | 90 | 180 | 270;

/** Shapes in millimetres from the top left, on a ground of a width and height. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

/** A drawing put somewhere else: moved by (x, y). */
export function moved(shapes: readonly Shape[], x: number, y: number): Shape[] {
  return shapes.map((shape): Shape => {
    switch (shape.kind) {
      case 'line':
        return { ...shape, x1: shape.x1 + x, x2: shape.x2 + x, y1: shape.y1 + y, y2: shape.y2 + y };
      case 'polygon':
        return { ...shape, points: shape.points.map(([px, py]) => [px + x, py + y] as const) };
      default:
        return { ...shape, x: shape.x + x, y: shape.y + y };
    }
  });
}

/** A drawing made larger or smaller by a factor. */
export function scaled(drawing: Drawing, factor: number): Drawing {
  const by = (value: number) => value * factor;
  return {
    width: by(drawing.width),
    height: by(drawing.height),
    shapes: drawing.shapes.map((shape): Shape => {
      const width = 'width' in shape && shape.width !== undefined ? { width: by(shape.width) } : {};
      switch (shape.kind) {
        case 'picture':
          return { ...shape, x: by(shape.x), y: by(shape.y), w: by(shape.w), h: by(shape.h) };
        case 'rect':
          return {
            ...shape,
            ...width,
            x: by(shape.x),
            y: by(shape.y),
            w: by(shape.w),
            h: by(shape.h),
            radius: by(shape.radius ?? 0),
          };
        case 'circle':
          return { ...shape, ...width, x: by(shape.x), y: by(shape.y), r: by(shape.r) };
        case 'line':
          return { ...shape, ...width, x1: by(shape.x1), x2: by(shape.x2), y1: by(shape.y1), y2: by(shape.y2) };
        case 'polygon':
          return { ...shape, ...width, points: shape.points.map(([x, y]) => [by(x), by(y)] as const) };
        case 'text':
          return { ...shape, x: by(shape.x), y: by(shape.y), size: by(shape.size) };
      }
    }),
  };
}

/** A whole drawing turned to the right by so many quarters, its writing with it. */
export function quarterTurned(drawing: Drawing, quarters: 1 | 2 | 3): Drawing {
  const { width, height } = drawing;
  const place = (x: number, y: number): readonly [number, number] => [height - y, x];
  const box = (shape: { x: number; y: number; w: number; h: number }) => ({
    x: height - shape.y - shape.h,
    y: shape.x,
    w: shape.h,
    h: shape.w,
  });
  const more = (turn: QuarterTurn = 0) => ((turn + 90) % 360) as QuarterTurn;
  const once: Drawing = {
    width: height,
    height: width,
    shapes: drawing.shapes.map((shape): Shape => {
      switch (shape.kind) {
        case 'rect':
          return { ...shape, ...box(shape) };
        case 'picture':
          return { ...shape, ...box(shape), turn: more(shape.turn) };
        case 'line': {
          const [[x1, y1], [x2, y2]] = [place(shape.x1, shape.y1), place(shape.x2, shape.y2)];
          return { ...shape, x1, y1, x2, y2 };
        }
        case 'polygon':
          return { ...shape, points: shape.points.map(([x, y]) => place(x, y)) };
        case 'circle': {
          const [x, y] = place(shape.x, shape.y);
          return { ...shape, x, y };
        }
        case 'text': {
          const [x, y] = place(shape.x, shape.y);
          return { ...shape, x, y, turn: more(shape.turn) };
        }
      }
    }),
  };
  return quarters === 1 ? once : quarterTurned(once, (quarters - 1) as 1 | 2);
}

/** Drawings one beside the other, with a gap, their tops in line; none gives an empty drawing. */
export function inRow(drawings: readonly Drawing[], gap: number): Drawing {
  let x = 0;
  const shapes = drawings.flatMap((drawing) => {
    const here = moved(drawing.shapes, x, 0);
    x += drawing.width + gap;
    return here;
  });
  return { width: Math.max(0, x - gap), height: Math.max(0, ...drawings.map(({ height }) => height)), shapes };
}

/** Drawings one below the other, with a gap. */
export function inColumn(drawings: readonly Drawing[], gap: number): Drawing {
  let y = 0;
  const shapes = drawings.flatMap((drawing) => {
    const here = moved(drawing.shapes, 0, y);
    y += drawing.height + gap;
    return here;
  });
  return { width: Math.max(0, ...drawings.map(({ width }) => width)), height: Math.max(0, y - gap), shapes };
}

/** Drawings in rows of so many. */
export function inGrid(drawings: readonly Drawing[], perRow: number, gap: number): Drawing {
  const rows = Array.from({ length: Math.ceil(drawings.length / perRow) }, (_, row) =>
    inRow(drawings.slice(row * perRow, (row + 1) * perRow), gap),
  );
  return inColumn(rows, gap);
}
