import { breakLines } from './text.ts';
import { type SheetSettings, type Page, printableArea, finishPage } from './paper.ts';
import { type Drawing, type Shape, moved } from './drawing.ts';

/**
 * Drawings from the top down, as many on a page as go, so many mm apart. One higher than the page stands alone on one
 * and runs over its foot: callers make it smaller or cut it first. No drawings: no pages.
 */
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
