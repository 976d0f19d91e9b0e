import { textWidth, CAP_HEIGHT } from './text.ts';
import { type Drawing, scaled, type Shape, moved } from './drawing.ts';
import { type SheetSettings, printableArea, type Page, PAPERS, finishPage } from './paper.ts';

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
              title: settings.speech.say('print/backs', { title: { own: title } }),
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
        case 'picture': {
          const [right, bottom] = turn(shape.x, shape.y);
          return { ...shape, x: right - shape.w, y: bottom - shape.h };
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
