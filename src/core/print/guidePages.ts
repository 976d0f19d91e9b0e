import { type Drawing, flowPages, type Page, printableArea, type SheetSettings, writing } from '../page/index.ts';

/** A line of a printed guide and how it is set. */
export interface SheetLine {
  readonly style: 'title' | 'heading' | 'line' | 'item' | 'strong' | 'soft';
  readonly text: string;
}

/** A home's guide in words, ready to be laid on paper. */
export interface GuideSheet {
  readonly home: string;
  readonly title: string;
  readonly lines: readonly SheetLine[];
}

/** Height of the type, and room above, in millimetres. */
const STYLES: Readonly<Record<SheetLine['style'], { size: number; above: number; isBold?: boolean; inset?: number }>> =
  {
    title: { size: 8, above: 1 },
    heading: { size: 5.4, above: 4, isBold: true },
    line: { size: 4.2, above: 0.8 },
    item: { size: 4.2, above: 0.4, inset: 6 },
    strong: { size: 4.2, above: 0.8, isBold: true },
    soft: { size: 3.6, above: 0.4 },
  };
/** Large print makes the type so much larger. */
const LARGE = 1.4;

/** A guide on pages, in type of 3.6 mm and more; without lines it takes no page. */
export function guidePages(
  { home, title, lines }: GuideSheet,
  settings: SheetSettings,
  { isLarge = false }: { isLarge?: boolean } = {},
): Page[] {
  const { width } = printableArea(settings);
  return flowPages(
    lines.map((line) => lineDrawing(line, width, isLarge ? LARGE : 1)),
    { title: settings.speech.say('print/owned', { title: { own: title }, home: { own: home } }), settings, gap: 0 },
  );
}

function lineDrawing({ style, text }: SheetLine, width: number, factor: number): Drawing {
  const { size, above, isBold, inset = 0 } = STYLES[style];
  // Bold letters are wider than the measure that lines are broken by.
  const written = writing([text], { width: (width - inset) * (isBold ? 0.93 : 1), size: size * factor });
  const box = { kind: 'rect', x: 0.5, y: above + size * factor * 0.35, w: 3, h: 3, stroke: 'ink', width: 0.3 } as const;
  return {
    width,
    height: written.height + above,
    shapes: [
      ...(style === 'item' ? [box] : []),
      ...written.shapes.map((shape) =>
        shape.kind === 'text'
          ? {
              ...shape,
              x: shape.x + inset,
              y: shape.y + above,
              isBold,
              ...(style === 'soft' && { fill: 'soft' as const }),
            }
          : shape,
      ),
    ],
  };
}
