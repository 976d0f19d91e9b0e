import type { Speech } from '../message.ts';
import type { Shape } from './drawing.ts';

/** Sheets of paper, mm. */
export const PAPERS = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
} as const;
/** A kind of paper a programme prints on. */
export type Paper = keyof typeof PAPERS;

/** A printed page in millimetres. */
export interface Page {
  readonly width: number;
  readonly height: number;
  readonly title: string;
  readonly shapes: readonly Shape[];
  /** Printed on the back of the page before it. */
  readonly isBack?: boolean | undefined;
}

/** How sheets are printed. */
export interface SheetSettings {
  readonly paper: Paper;
  /** Margin on every side, mm. */
  readonly margin: number;
  /** Less ink: no filled grounds. */
  readonly savesInk?: boolean | undefined;
  /** The words at the foot of each sheet and on what is laid out. */
  readonly speech: Speech;
}

/** The margin on every side, in mm, that all usual printers keep. */
export const USUAL_MARGIN = 12;
/** Room at the foot of each sheet for the ruler mark and the title. */
const FOOT = 12;
/** The length of the mark by which the size of a print is checked, in mm. */
export const RULER_MM = 50;

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
  const { say } = settings.speech;
  const y = height - settings.margin;
  const x = settings.margin;
  const foot: Shape[] = [
    { kind: 'line', x1: x, y1: y, x2: x + RULER_MM, y2: y, stroke: 'ink', width: 0.3 },
    { kind: 'line', x1: x, y1: y - 1.5, x2: x, y2: y + 1.5, stroke: 'ink', width: 0.3 },
    { kind: 'line', x1: x + RULER_MM, y1: y - 1.5, x2: x + RULER_MM, y2: y + 1.5, stroke: 'ink', width: 0.3 },
    {
      kind: 'text',
      x: x + RULER_MM + 3,
      y: y + 1,
      size: 3.2,
      text: say('print/ruler', { length: RULER_MM }),
      fill: 'soft',
    },
    {
      kind: 'text',
      x: width - settings.margin,
      y: y + 1,
      size: 3.2,
      align: 'right',
      fill: 'soft',
      text: of > 1 ? say('print/numbered', { title: { own: title }, number, of }) : title,
    },
  ];
  const drawn = settings.savesInk ? shapes.map(withoutGround) : shapes;
  return { width, height, title, shapes: [...drawn, ...foot] };
}

/** A filled ground becomes an outline; small dots and writing stay, since they carry the meaning. */
function withoutGround(shape: Shape): Shape {
  if (shape.kind === 'text' || shape.kind === 'line' || shape.kind === 'picture') return shape;
  if (!shape.fill || shape.fill === 'white') return shape;
  const isSmall = shape.kind === 'circle' && shape.r <= 6;
  return isSmall && shape.fill === 'ink'
    ? shape
    : { ...shape, fill: undefined, stroke: shape.stroke ?? 'ink', width: shape.width ?? 0.3 };
}
