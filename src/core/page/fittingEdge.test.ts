import assert from 'node:assert/strict';
import { test } from 'node:test';
import { fittingCard, fittingEdge } from './fittingEdge.ts';

const edgeOf = (cut: number) =>
  JSON.stringify(
    fittingEdge(0, 50, cut).map((line) => (line.kind === 'line' ? [line.x1, line.y1, line.x2, line.y2] : [])),
  );

test('no two edges are alike until all are used, and equal numbers have the same', () => {
  assert.equal(new Set(Array.from({ length: 256 }, (_, cut) => edgeOf(cut))).size, 256);
  assert.equal(edgeOf(7), edgeOf(7));
  assert.equal(edgeOf(300), edgeOf(300 - 256));
});

test('an edge reaches from the top to the bottom without a gap', () => {
  const lines = fittingEdge(40, 50, 11).flatMap((shape) => (shape.kind === 'line' ? [shape] : []));
  assert.deepEqual([lines[0]!.y1, lines.at(-1)!.y2, lines[0]!.x1, lines.at(-1)!.x2], [0, 50, 40, 40]);
  for (const [index, { x2, y2 }] of lines.slice(0, -1).entries())
    assert.deepEqual([lines[index + 1]!.x1, lines[index + 1]!.y1], [x2, y2]);
});

test('a card holds question and answer beside each other, each in its middle', () => {
  const box = (height: number) => ({
    width: 20,
    height,
    shapes: [{ kind: 'rect', x: 0, y: 0, w: 20, h: height, stroke: 'ink', width: 0.4 } as const],
  });
  const card = fittingCard(box(50), box(30), 3);
  const rects = card.shapes.flatMap((shape) => (shape.kind === 'rect' ? [shape] : []));
  assert.deepEqual(
    rects.slice(1).map(({ y }) => y),
    [0, 10],
  );
  assert.ok(rects[2]!.x + 20 <= card.width);
});
