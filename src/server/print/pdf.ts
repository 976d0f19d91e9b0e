import { PICTURE_SIDE, pictureNamed } from '../pictures/pictures.ts';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { INKS, type Page, type Shape } from '../../core/page/index.ts';

const POINTS_PER_MM = 72 / 25.4;
const files = createRequire(import.meta.url);
const REGULAR = files.resolve('@fontsource/andika/files/andika-latin-400-normal.woff');
const BOLD = files.resolve('@fontsource/andika/files/andika-latin-700-normal.woff');
/** After so many pages the server looks after others before it goes on. */
const PAGES_AT_ONCE = 8;

export interface PdfOptions {
  readonly title: string;
  /** The language it is written in, for whoever has it read out. */
  readonly language?: string | undefined;
  readonly onPage?: ((done: number, total: number) => void) | undefined;
}

/** Pages in millimetres as a PDF to true size, fonts embedded as subsets, its text selectable, an outline entry for each part. */
export async function writePdf(
  pages: readonly Page[],
  { title, language = 'en', onPage }: PdfOptions,
): Promise<Buffer> {
  const document = new PDFDocument({
    autoFirstPage: false,
    compress: true,
    pdfVersion: '1.7',
    tagged: true,
    displayTitle: true,
    lang: language,
    info: { Title: title, Creator: 'Footstool' },
  });
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve, reject) => document.on('end', resolve).on('error', reject));
  document.registerFont('child', REGULAR);
  document.registerFont('child-bold', BOLD);
  const whole = document.struct('Document', { title });
  document.addStructure(whole);
  let part = '';
  for (const [index, page] of pages.entries()) {
    document.addPage({ size: [page.width * POINTS_PER_MM, page.height * POINTS_PER_MM], margin: 0 });
    if (page.title !== part) document.outline.addItem(page.title);
    part = page.title;
    const section = document.struct('Sect', { title: page.title });
    whole.add(section);
    document.save();
    document.scale(POINTS_PER_MM);
    for (const shape of page.shapes) tag(document, section, shape);
    document.restore();
    section.end();
    onPage?.(index + 1, pages.length);
    if (index % PAGES_AT_ONCE === PAGES_AT_ONCE - 1) await new Promise((next) => setImmediate(next));
  }
  whole.end();
  document.end();
  await ended;
  return Buffer.concat(chunks);
}

/** Writing is a paragraph that can be read out; what is drawn is left out of the reading. */
function tag(document: PDFKit.PDFDocument, section: PDFKit.PDFStructureElement, shape: Shape): void {
  if (shape.kind === 'text') {
    section.add(document.struct('P', {}, () => draw(document, shape)));
    return;
  }
  document.markContent('Artifact');
  draw(document, shape);
  document.endMarkedContent();
}

function draw(document: PDFKit.PDFDocument, shape: Shape): void {
  if (shape.kind === 'text') {
    document
      .font(shape.isBold ? 'child-bold' : 'child')
      .fontSize(shape.size)
      .fillColor(INKS[shape.fill ?? 'ink']);
    const width = document.widthOfString(shape.text);
    const left = shape.align === 'middle' ? shape.x - width / 2 : shape.align === 'right' ? shape.x - width : shape.x;
    if (shape.turn) document.save().rotate(shape.turn, { origin: [shape.x, shape.y] });
    document.text(shape.text, left, shape.y, { lineBreak: false, baseline: 'alphabetic' });
    if (shape.turn) document.restore();
    return;
  }
  if (shape.kind === 'picture') {
    drawPicture(document, shape);
    return;
  }
  trace(document, shape);
  if (shape.isDashed) document.dash(1.5, { space: 1.5 });
  else document.undash();
  document.lineWidth(shape.width ?? 0.3);
  if (shape.fill && shape.stroke) document.fillAndStroke(INKS[shape.fill], INKS[shape.stroke]);
  else if (shape.fill) document.fill(INKS[shape.fill]);
  else document.stroke(INKS[shape.stroke ?? 'ink']);
}

/** A small picture in its own colours; one that nobody knows is left out. */
function drawPicture(
  document: PDFKit.PDFDocument,
  { name, x, y, w, h, turn = 0 }: Extract<Shape, { kind: 'picture' }>,
): void {
  document
    .save()
    .rotate(turn, { origin: [x + w / 2, y + h / 2] })
    .translate(x, y)
    .scale(w / PICTURE_SIDE);
  for (const [path, fill, rule] of pictureNamed(name) ?? []) document.path(path).fill(fill, rule ?? 'nonzero');
  document.restore();
}

function trace(document: PDFKit.PDFDocument, shape: Exclude<Shape, { kind: 'text' | 'picture' }>): void {
  switch (shape.kind) {
    case 'rect':
      if (shape.radius) document.roundedRect(shape.x, shape.y, shape.w, shape.h, shape.radius);
      else document.rect(shape.x, shape.y, shape.w, shape.h);
      return;
    case 'circle':
      document.circle(shape.x, shape.y, shape.r);
      return;
    case 'line':
      document.moveTo(shape.x1, shape.y1).lineTo(shape.x2, shape.y2);
      return;
    case 'polygon':
      document.polygon(...shape.points.map(([x, y]) => [x, y]));
  }
}
