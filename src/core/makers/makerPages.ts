import type { Speech } from '../message.ts';
import {
  cardPages,
  type Drawing,
  flowPages,
  type Page,
  type Paper,
  PAPERS,
  printableArea,
  scaled,
  type SheetSettings,
  USUAL_MARGIN,
  writing,
} from '../page/index.ts';
import type { Printable, Worked } from './makerOutput.ts';

/** What a maker made, on sheets: cards to cut, drawings, then the answer key on a sheet of its own. */
export function makerPages(title: string, made: Worked, settings: SheetSettings, { withKey = true } = {}): Page[] {
  const area = printableArea(settings);
  const named = { title: { own: title } };
  const heading = settings.speech.say('print/answers', named);
  const key = writing([heading, '', ...made.facts, '', ...made.key], { width: area.width, size: 5 });
  return [
    ...printablePages(made.printable, settings),
    ...(withKey
      ? flowPages(inParts(key, area.height), {
          title: settings.speech.say('print/answers-short', named),
          settings,
          gap: 0,
        })
      : []),
  ];
}

/** Pages that are only counted need no words. */
const SILENT: Speech = { language: '', say: () => '', find: () => null };

/** Sheets of paper that a printable takes, on the paper that takes more; a sheet printed on both sides is one. */
export function sheetsNeeded({ title, cards, sheets }: Omit<Printable, 'backs'>): number {
  const counts = (Object.keys(PAPERS) as Paper[]).map(
    (paper) => printablePages({ title, cards, sheets }, { paper, margin: USUAL_MARGIN, speech: SILENT }).length,
  );
  return Math.max(...counts);
}

/** Cards, with their backs where they have any, then drawings from the top down. */
function printablePages({ title, cards, backs, sheets }: Printable, settings: SheetSettings): Page[] {
  const { width } = printableArea(settings);
  const fitted = (drawing: Drawing) => (drawing.width > width ? scaled(drawing, width / drawing.width) : drawing);
  return [
    ...cardPages(cards, { title, settings, order: 'stack', backs }),
    ...flowPages(sheets.map(fitted), { title, settings }),
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
