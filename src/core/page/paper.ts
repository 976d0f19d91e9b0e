import { moved, scaled, type Drawing, type Shape } from './drawing.ts';
import { breakLines, CAP_HEIGHT, textWidth } from './text.ts';

/** Sheets of paper, mm. */
export const PAPERS = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
} as const;
export type Paper = keyof typeof PAPERS;

export interface Page {
  readonly width: number;
  readonly height: number;
  readonly title: string;
  readonly shapes: readonly Shape[];
  /** Printed on the back of the page before it. */
  readonly isBack?: boolean | undefined;
}

export interface SheetSettings {
  readonly paper: Paper;
  /** Margin on every side, mm. */
  readonly margin: number;
  /** Less ink: no filled grounds. */
  readonly savesInk?: boolean | undefined;
}

export const USUAL_MARGIN = 12;
/** Room at the foot of each sheet for the ruler mark and the title. */
export const FOOT = 12;
export const RULER_MM = 50;

/** Cards on sheets: where each stands, by sheet. */
export interface CardSheets {
  readonly columns: number;
  readonly rows: number;
  readonly isTurned: boolean;
  /** sheets[sheet][place] is the index of a card; places count along the rows. */
  readonly sheets: readonly (readonly number[])[];
}

/**
 * Lays equal cards out in a grid, upright or turned, whichever takes fewer sheets (upright when both take as many).
 * With `order: 'stack'` cards are dealt so that the cut piles, laid on each other, keep their order. Null when a card
 * is larger than the sheet. No cards: no sheets. `mayTurn: false` keeps cards upright unless they only fit turned.
 */
export function sheetCards(
  card: { readonly width: number; readonly height: number },
  count: number,
  {
    settings,
    order = 'reading',
    mayTurn = true,
  }: { settings: SheetSettings; order?: 'reading' | 'stack'; mayTurn?: boolean },
): CardSheets | null {
  const { width, height } = printableArea(settings);
  const fits = (w: number, h: number) => ({
    columns: Math.floor((width + 1e-9) / w),
    rows: Math.floor((height + 1e-9) / h),
  });
  const upright = fits(card.width, card.height);
  const turned = fits(card.height, card.width);
  const perUpright = upright.columns * upright.rows;
  const perTurned = turned.columns * turned.rows;
  if (perUpright === 0 && perTurned === 0) return null;
  const sheetsFor = (perSheet: number) => (perSheet === 0 ? Infinity : Math.ceil(count / perSheet));
  const isTurned = mayTurn ? sheetsFor(perTurned) < sheetsFor(perUpright) : perUpright === 0;
  const { columns, rows } = isTurned ? turned : upright;
  const perSheet = columns * rows;
  const sheetCount = Math.ceil(count / perSheet);
  const sheets = Array.from({ length: sheetCount }, (_, sheet) =>
    Array.from({ length: perSheet }, (__, place) =>
      order === 'stack' ? place * sheetCount + sheet : sheet * perSheet + place,
    ).filter((index) => index < count),
  );
  return { columns, rows, isTurned, sheets };
}

/** Cards as pages with cut lines; backs, when given, follow each sheet mirrored for turning over the long edge. */
export function cardPages(
  cards: readonly Drawing[],
  {
    title,
    settings,
    order,
    backs,
  }: { title: string; settings: SheetSettings; order?: 'reading' | 'stack'; backs?: readonly Drawing[] | undefined },
): Page[] {
  const [first] = cards;
  if (!first) return [];
  const mayTurn = [...cards, ...(backs ?? [])].every(hasShortWritingOnly);
  const laid = sheetCards(first, cards.length, { settings, mayTurn, ...(order && { order }) });
  // A card larger than the sheet is made as large as the sheet allows.
  if (!laid) {
    const area = printableArea(settings);
    const fit = Math.min(area.width / first.width, area.height / first.height);
    const fitted = (card: Drawing) => scaled(card, fit * (1 - 1e-9));
    return cardPages(cards.map(fitted), { title, settings, ...(order && { order }), backs: backs?.map(fitted) });
  }
  const { columns, isTurned, sheets } = laid;
  const cell = isTurned ? { width: first.height, height: first.width } : { width: first.width, height: first.height };
  const { x: left, y: top } = printableArea(settings);
  const place = (drawings: readonly Drawing[], sheet: readonly number[], isBack: boolean): Shape[] =>
    sheet.flatMap((index, at) => {
      const column = at % columns;
      // Turned over its long edge, what was left comes to lie right: the back of the first column is printed in the last.
      const x = isBack ? PAPERS[settings.paper].width - left - (column + 1) * cell.width : left + column * cell.width;
      const y = top + Math.floor(at / columns) * cell.height;
      const drawing = isTurned ? turnedRight(drawings[index]!) : drawings[index]!;
      return [
        ...moved(drawing.shapes, x, y),
        { kind: 'rect', x, y, w: cell.width, h: cell.height, stroke: 'line', width: 0.2, isDashed: true } as const,
      ];
    });
  return sheets.flatMap((sheet, index) => [
    finishPage(place(cards, sheet, false), { title, settings, number: index + 1, of: sheets.length }),
    ...(backs
      ? [
          {
            ...finishPage(place(backs, sheet, true), {
              title: `${title}, backs`,
              settings,
              number: index + 1,
              of: sheets.length,
            }),
            isBack: true,
          },
        ]
      : []),
  ]);
}

/** Drawings of any size from the top down, as many on a page as go; one too large is made smaller. */
export function flowPages(
  drawings: readonly Drawing[],
  { title, settings, gap = 6 }: { title: string; settings: SheetSettings; gap?: number },
): Page[] {
  const area = printableArea(settings);
  const pages: Shape[][] = [];
  let y = Infinity;
  for (const drawing of drawings) {
    if (y + drawing.height > area.height + 1e-9) {
      pages.push([]);
      y = 0;
    }
    pages.at(-1)!.push(...moved(drawing.shapes, area.x, area.y + y));
    y += drawing.height + gap;
  }
  return pages.map((shapes, index) => finishPage(shapes, { title, settings, number: index + 1, of: pages.length }));
}

/** Lines of writing as a drawing, broken to a width. */
export function writing(
  lines: readonly string[],
  { width, size, gap = 1.45 }: { width: number; size: number; gap?: number },
): Drawing {
  const broken = lines.flatMap((line) => (line === '' ? [''] : breakLines(line, size, width)));
  return {
    width,
    height: broken.length * size * gap,
    shapes: broken.map((text, index) => ({ kind: 'text', x: 0, y: (index + 0.75) * size * gap, size, text })),
  };
}

/** Where cards may stand on a sheet. */
export function printableArea({ paper, margin }: SheetSettings): {
  x: number;
  y: number;
  width: number;
  height: number;
} {
  const sheet = PAPERS[paper];
  return { x: margin, y: margin, width: sheet.width - 2 * margin, height: sheet.height - 2 * margin - FOOT };
}

/** A page with its foot: a mark of 50 mm to check the size by, and what it is. */
export function finishPage(
  shapes: readonly Shape[],
  { title, settings, number, of }: { title: string; settings: SheetSettings; number: number; of: number },
): Page {
  const { width, height } = PAPERS[settings.paper];
  const y = height - settings.margin;
  const x = settings.margin;
  const foot: Shape[] = [
    { kind: 'line', x1: x, y1: y, x2: x + RULER_MM, y2: y, stroke: 'ink', width: 0.3 },
    { kind: 'line', x1: x, y1: y - 1.5, x2: x, y2: y + 1.5, stroke: 'ink', width: 0.3 },
    { kind: 'line', x1: x + RULER_MM, y1: y - 1.5, x2: x + RULER_MM, y2: y + 1.5, stroke: 'ink', width: 0.3 },
    { kind: 'text', x: x + RULER_MM + 3, y: y + 1, size: 3.2, text: '50 mm when printed at 100 %', fill: 'soft' },
    {
      kind: 'text',
      x: width - settings.margin,
      y: y + 1,
      size: 3.2,
      align: 'right',
      fill: 'soft',
      text: of > 1 ? `${title}, ${number} of ${of}` : title,
    },
  ];
  const drawn = settings.savesInk ? shapes.map(withoutGround) : shapes;
  return { width, height, title, shapes: [...drawn, ...foot] };
}

/** A filled ground becomes an outline; small dots and writing stay, since they carry the meaning. */
function withoutGround(shape: Shape): Shape {
  if (shape.kind === 'text' || shape.kind === 'line' || !shape.fill || shape.fill === 'white') return shape;
  const isSmall = shape.kind === 'circle' && shape.r <= 6;
  return isSmall && shape.fill === 'ink'
    ? shape
    : { ...shape, fill: undefined, stroke: shape.stroke ?? 'ink', width: shape.width ?? 0.3 };
}

/** Whether all writing on a card also fits across it when it is turned. */
function hasShortWritingOnly({ height, shapes }: Drawing): boolean {
  return shapes.every((shape) => shape.kind !== 'text' || textWidth(shape.text, shape.size) <= height * 0.9);
}

/** A drawing turned a quarter to the right. Writing stays upright, its middle where the turned card has it. */
function turnedRight(drawing: Drawing): Drawing {
  const { height } = drawing;
  const turn = (x: number, y: number): readonly [number, number] => [height - y, x];
  return {
    width: height,
    height: drawing.width,
    shapes: drawing.shapes.map((shape): Shape => {
      switch (shape.kind) {
        case 'rect':
          return { ...shape, x: height - shape.y - shape.h, y: shape.x, w: shape.h, h: shape.w };
        case 'line': {
          const [x1, y1] = turn(shape.x1, shape.y1);
          const [x2, y2] = turn(shape.x2, shape.y2);
          return { ...shape, x1, y1, x2, y2 };
        }
        case 'polygon':
          return { ...shape, points: shape.points.map(([x, y]) => turn(x, y)) };
        case 'circle': {
          const [x, y] = turn(shape.x, shape.y);
          return { ...shape, x, y };
        }
        case 'text': {
          const half = textWidth(shape.text, shape.size) / 2;
          const middle = shape.x + (shape.align === 'middle' ? 0 : shape.align === 'right' ? -half : half);
          const rise = (shape.size * CAP_HEIGHT) / 2;
          const [x, y] = turn(middle, shape.y - rise);
          return { ...shape, align: 'middle', x, y: y + rise };
        }
      }
    }),
  };
}
