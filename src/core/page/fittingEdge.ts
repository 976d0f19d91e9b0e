import { moved, type Drawing, type Shape } from './drawing.ts';

const DEPTHS = [-3, -1, 1, 3];
const TEETH = 4;
/** How many edges there are of which no two are alike. */
const MOST_EDGES = DEPTHS.length ** TEETH;
/** Spreads neighbouring numbers over edges that differ at a look; it has no divisor in common with their number. */
const SPREAD = 91;

/** How far the teeth of an edge reach from a straight cut, from top to bottom, in mm. Alike only for equal numbers, from 0. */
function toothDepths(cut: number): number[] {
  const code = (cut * SPREAD) % MOST_EDGES;
  return Array.from(
    { length: TEETH },
    (_, tooth) => DEPTHS[Math.floor(code / DEPTHS.length ** tooth) % DEPTHS.length]!,
  );
}

/** A dashed line to cut along at x, from 0 to a height in mm; what is cut along equal numbers fits together. */
export function fittingEdge(x: number, height: number, cut: number): Shape[] {
  const depths = toothDepths(cut);
  const step = height / (TEETH + 1);
  const points = [[x, 0], ...depths.map((depth, tooth) => [x + depth, (tooth + 1) * step]), [x, height]] as [
    number,
    number,
  ][];
  return points.slice(1).map((point, index): Shape => ({
    kind: 'line',
    x1: points[index]![0],
    y1: points[index]![1],
    x2: point[0],
    y2: point[1],
    stroke: 'ink',
    width: 0.4,
    isDashed: true,
  }));
}

const ROOM_FOR_TEETH = 6;

/** A question and its answer on one card of their height, cut apart along an edge of its own: only what belongs to it fits. */
export function fittingCard(question: Drawing, answer: Drawing, cut: number): Drawing {
  const height = Math.max(question.height, answer.height);
  const cutAt = question.width + ROOM_FOR_TEETH;
  const width = cutAt + ROOM_FOR_TEETH + answer.width;
  return {
    width,
    height,
    shapes: [
      { kind: 'rect', x: 0, y: 0, w: width, h: height, stroke: 'line', width: 0.3 },
      ...moved(question.shapes, 0, (height - question.height) / 2),
      ...fittingEdge(cutAt, height, cut),
      ...moved(answer.shapes, cutAt + ROOM_FOR_TEETH, (height - answer.height) / 2),
    ],
  };
}
