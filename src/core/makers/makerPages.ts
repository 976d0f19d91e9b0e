import { cardPages, flowPages, printableArea, writing, type Page, type SheetSettings } from '../page/paper.ts';
import { scaled, type Drawing } from '../page/drawing.ts';
import type { Made } from './maker.ts';

/** What a maker made, on sheets: cards to cut, drawings, then the answer key on a sheet of its own. */
export function makerPages(title: string, made: Made, settings: SheetSettings, { withKey = true } = {}): Page[] {
  const area = printableArea(settings);
  const fitted = (drawing: Drawing) =>
    drawing.width > area.width ? scaled(drawing, area.width / drawing.width) : drawing;
  const { printable } = made;
  const pages = [
    ...cardPages(printable.cards, { title: printable.title, settings, order: 'stack', backs: printable.backs }),
    ...flowPages(printable.sheets.map(fitted), { title: printable.title, settings }),
  ];
  const key = writing([`${title}: the answers`, '', ...made.facts, '', ...made.key], { width: area.width, size: 5 });
  return [
    ...pages,
    ...(withKey ? flowPages(inParts(key, area.height), { title: `${title}, answers`, settings, gap: 0 }) : []),
  ];
}

/** A long column of writing in parts that each go on a page. */
function inParts(drawing: Drawing, height: number): Drawing[] {
  if (drawing.height <= height) return [drawing];
  const count = Math.ceil(drawing.height / height);
  return Array.from({ length: count }, (_, part) => ({
    width: drawing.width,
    height: part === count - 1 ? drawing.height - part * height : height,
    shapes: drawing.shapes.flatMap((shape) =>
      shape.kind === 'text' && Math.floor(shape.y / height) === part ? [{ ...shape, y: shape.y - part * height }] : [],
    ),
  }));
}
