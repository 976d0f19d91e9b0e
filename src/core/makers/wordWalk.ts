import { type Drawing, framedCard, moved, type Shape, wordCard } from '../page/index.ts';

const PER_ROW = 6;
/** A place, and what lies between two, mm. */
const PLACE = { width: 23, height: 15 };
const GAP = 3.5;
/** To the left and the right of the places, for the dot and the square, mm. */
const EDGE = 8;
const LINE = { stroke: 'teal', width: 1 } as const;

/** Where a place lies: every other row is walked from the right. */
function cornerOf(place: number): { x: number; y: number } {
  const row = Math.floor(place / PER_ROW);
  const along = place % PER_ROW;
  const column = row % 2 === 0 ? along : PER_ROW - 1 - along;
  return { x: EDGE + column * (PLACE.width + GAP), y: row * (PLACE.height + GAP) };
}

/** The line from one place to the next: sideways, or down at the end of a row. */
function joint(place: number): Shape {
  const [from, to] = [cornerOf(place), cornerOf(place + 1)];
  if (from.y !== to.y) {
    const x = from.x + PLACE.width / 2;
    return { kind: 'line', x1: x, y1: from.y + PLACE.height, x2: x, y2: to.y, ...LINE };
  }
  const y = from.y + PLACE.height / 2;
  const left = Math.min(from.x, to.x) + PLACE.width;
  return { kind: 'line', x1: left, y1: y, x2: left + GAP, y2: y, ...LINE };
}

/** A path of words as it is walked: from the dot along the line to the square. At least one word. */
export function wordWalk(words: readonly string[]): Drawing {
  const last = words.length - 1;
  const { x, y } = cornerOf(last);
  const endsLeft = Math.floor(last / PER_ROW) % 2 === 1;
  const edge = endsLeft ? x : x + PLACE.width;
  const end = endsLeft ? x - EDGE / 2 : edge + EDGE / 2;
  const middle = (top: number) => top + PLACE.height / 2;
  return {
    width: 2 * EDGE + PER_ROW * PLACE.width + (PER_ROW - 1) * GAP,
    height: y + PLACE.height,
    shapes: [
      { kind: 'line', x1: EDGE / 2, y1: middle(0), x2: EDGE, y2: middle(0), ...LINE },
      { kind: 'circle', x: EDGE / 2, y: middle(0), r: 2.6, fill: 'teal' },
      ...words.slice(0, -1).map((_, place) => joint(place)),
      { kind: 'line', x1: Math.min(edge, end), y1: middle(y), x2: Math.max(edge, end), y2: middle(y), ...LINE },
      { kind: 'rect', x: end - 2.4, y: middle(y) - 2.4, w: 4.8, h: 4.8, fill: 'teal' },
      ...words.flatMap((word, place) => {
        const at = cornerOf(place);
        return moved(framedCard(wordCard(word, { ...PLACE, most: 7 })).shapes, at.x, at.y);
      }),
    ],
  };
}
