import type { BookPage, BookSentence } from '../words/index.ts';
import { inColumn, moved, quarterTurned, type Drawing, type Shape } from './drawing.ts';
import { wordCard } from './pieces.ts';
import { CAP_HEIGHT, fittingSize, textWidth } from './text.ts';

/** One of the eight fields of a sheet that is folded, mm; four across and two down stand on any of our papers. */
const FIELD = { width: 66, height: 92 } as const;
const EDGE = 5;
const TYPE = 7;
/** Where pages lie on the sheet before it is folded: the upper row stands on its head. */
const UPPER = [7, 6, 5, 4] as const;
const LOWER = [8, 1, 2, 3] as const;

/** A sentence in a line with its nouns as pictures, made smaller where it is wide. */
function sentenceLine({ pieces, mark }: BookSentence, width: number): Drawing {
  const side = TYPE * 1.5;
  const gap = textWidth(' ', TYPE) + 1;
  let x = 0;
  const shapes: Shape[] = [];
  const base = side * 0.82;
  pieces.forEach((piece, index) => {
    const after = piece.hasComma ? ',' : index === pieces.length - 1 ? mark : '';
    if ('word' in piece) {
      const text = piece.word + after;
      shapes.push({ kind: 'text', x, y: base, size: TYPE, text });
      x += textWidth(text, TYPE) + gap;
    } else {
      shapes.push({ kind: 'picture', name: piece.picture.picture, x, y: 0, w: side, h: side });
      x += side + 0.6;
      if (after !== '') shapes.push({ kind: 'text', x, y: base, size: TYPE, text: after });
      x += textWidth(after, TYPE) + gap;
    }
  });
  const line = { width: x - gap, height: side, shapes };
  return line.width <= width ? line : fitted(line, width);
}

function fitted(drawing: Drawing, width: number): Drawing {
  const factor = width / drawing.width;
  return {
    width,
    height: drawing.height * factor,
    shapes: drawing.shapes.map((shape): Shape => {
      if (shape.kind === 'text')
        return { ...shape, x: shape.x * factor, y: shape.y * factor, size: shape.size * factor };
      if (shape.kind === 'picture')
        return { ...shape, x: shape.x * factor, y: 0, w: shape.w * factor, h: shape.h * factor };
      return shape;
    }),
  };
}

/** A page of the booklet: the new word large above, its sentences below, the number at the foot. */
function readingPage({ newWord, sentences }: BookPage, number: number): Drawing {
  const width = FIELD.width - EDGE * 2;
  const word = newWord === null ? [] : [wordCard(newWord, { width, height: 22, most: 15, ink: 'teal' })];
  const body = inColumn([...word, ...sentences.map((sentence) => sentenceLine(sentence, width))], 5);
  return {
    ...FIELD,
    shapes: [
      ...moved(body.shapes, EDGE, EDGE + (newWord === null ? 12 : 0)),
      {
        kind: 'text',
        x: FIELD.width / 2,
        y: FIELD.height - 4,
        size: 3.5,
        text: String(number),
        align: 'middle',
        fill: 'soft',
      },
    ],
  };
}

function cover(title: string, reader: string): Drawing {
  const size = fittingSize(title, FIELD.width - EDGE * 2, 11, true);
  const middle = { kind: 'text', x: FIELD.width / 2, align: 'middle' } as const;
  return {
    ...FIELD,
    shapes: [
      { ...middle, y: 34 + size * CAP_HEIGHT, size, text: title, isBold: true },
      { kind: 'line', x1: 14, y1: 70, x2: FIELD.width - 14, y2: 70, stroke: 'line', width: 0.4 },
      { ...middle, y: 76, size: 3.5, text: reader, fill: 'soft' },
    ],
  };
}

/** Pages of a booklet one beside the other, as they are read: the cover first. */
export function bookPages(pages: readonly BookPage[], { title, reader }: { title: string; reader: string }): Drawing[] {
  return [cover(title, reader), ...pages.map((page, index) => readingPage(page, index + 2))];
}

/**
 * Eight pages on one sheet to fold: in half along the long middle, across twice, a cut along the dashed middle, then pushed together.
 * The sheet stands upright, so that it prints like any other.
 */
export function foldedSheet(pages: readonly Drawing[]): Drawing {
  const { width, height } = FIELD;
  const at = (number: number, column: number, isUpper: boolean): Shape[] => {
    const page = pages[number - 1];
    if (!page) return [];
    const drawn = isUpper ? quarterTurned(page, 2) : page;
    return moved(drawn.shapes, column * width, isUpper ? 0 : height);
  };
  const folds = [1, 2, 3].map((column): Shape => ({
    kind: 'line',
    x1: column * width,
    x2: column * width,
    y1: 0,
    y2: height * 2,
    stroke: 'line',
    width: 0.2,
  }));
  const across: Shape[] = [
    { kind: 'line', x1: 0, x2: width * 4, y1: height, y2: height, stroke: 'line', width: 0.2 },
    { kind: 'line', x1: width, x2: width * 3, y1: height, y2: height, stroke: 'ink', width: 0.5, isDashed: true },
  ];
  const sheet: Drawing = {
    width: width * 4,
    height: height * 2,
    shapes: [
      { kind: 'rect', x: 0, y: 0, w: width * 4, h: height * 2, stroke: 'line', width: 0.2 },
      ...folds,
      ...across,
      ...UPPER.flatMap((number, column) => at(number, column, true)),
      ...LOWER.flatMap((number, column) => at(number, column, false)),
    ],
  };
  return quarterTurned(sheet, 1);
}
