import type { Drawing, Shape } from './drawing.ts';
import { CAP_HEIGHT, textWidth } from './text.ts';

/** A piece of a word with its mark: a dot under one letter, a bar under more, an arc from a vowel to its e. */
export interface MarkedPiece {
  readonly letters: string;
  readonly mark: 'dot' | 'bar' | 'arc';
}

const DOT_BELOW = 0.32;
const ARC_STEPS = 10;

/** Where letters stand: from and to, in mm from the left of the word. */
function spanOf(word: string, from: number, to: number, size: number): [number, number] {
  return [textWidth(word.slice(0, from), size), textWidth(word.slice(0, to), size)];
}

/** Lines that make an arc below, between two places. */
function arc(from: number, to: number, y: number, depth: number): Shape[] {
  const point = (step: number): [number, number] => {
    const part = step / ARC_STEPS;
    return [from + (to - from) * part, y + depth * Math.sin(Math.PI * part)];
  };
  return Array.from({ length: ARC_STEPS }, (_, step): Shape => {
    const [[x1, y1], [x2, y2]] = [point(step), point(step + 1)];
    return { kind: 'line', x1, y1, x2, y2, stroke: 'teal', width: 0.8 };
  });
}

/** A word in the early reader's type with the marks of its pieces below; the pieces spell it, a split vowel's e behind the next one. */
export function markedWord(word: string, pieces: readonly MarkedPiece[], size: number): Drawing {
  const base = size * CAP_HEIGHT;
  const below = base + size * DOT_BELOW;
  const shapes: Shape[] = [{ kind: 'text', x: 0, y: base, size, text: word }];
  let at = 0;
  let silentAt = -1;
  for (const { letters, mark } of pieces) {
    if (at === silentAt) at += 1;
    const end = at + letters.length;
    const [from, to] = spanOf(word, at, end, size);
    if (mark === 'dot') shapes.push({ kind: 'circle', x: (from + to) / 2, y: below, r: size * 0.06, fill: 'teal' });
    else if (mark === 'bar')
      shapes.push({
        kind: 'line',
        x1: from + size * 0.05,
        y1: below,
        x2: to - size * 0.05,
        y2: below,
        stroke: 'teal',
        width: 0.8,
      });
    else {
      silentAt = word.indexOf('e', end + 1);
      const [eFrom, eTo] = spanOf(word, silentAt, silentAt + 1, size);
      shapes.push(...arc((from + to) / 2, (eFrom + eTo) / 2, below, size * 0.2));
    }
    at = end;
  }
  return { width: textWidth(word, size), height: below + size * 0.2, shapes };
}

/** A picture on a card with its word below (or without). */
export function pictureCard(
  picture: string,
  word: string | null,
  { width, height }: { width: number; height: number },
): Drawing {
  const room = word === null ? height * 0.9 : height * 0.66;
  const side = Math.min(width * 0.8, room);
  const size = Math.min(height * 0.2, (width * 0.86) / Math.max(0.1, textWidth(word ?? 'n', 1)));
  return {
    width,
    height,
    shapes: [
      { kind: 'picture', name: picture, x: (width - side) / 2, y: (room - side) / 2 + height * 0.04, w: side, h: side },
      ...(word === null
        ? []
        : [{ kind: 'text', x: width / 2, y: height * 0.92, size, text: word, align: 'middle' } as const]),
    ],
  };
}
