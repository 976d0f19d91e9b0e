import assert from 'node:assert/strict';
import { test } from 'node:test';
import { LETTER_SHAPES, saidAlong, tracedLetters } from './letterStrokes.ts';
import { strokeWays } from './strokeWays.ts';
import { lengthOf } from './tracing.ts';

const SMALL = [...'abcdefghijklmnopqrstuvwxyz'];
const CAPITALS = SMALL.map((letter) => letter.toUpperCase());

test('all fifty-two letters have their strokes, each with what is said along it', () => {
  assert.deepEqual([...LETTER_SHAPES.keys()].sort(), [...CAPITALS, ...SMALL].sort());
  for (const [letter, { strokes, says, width }] of LETTER_SHAPES) {
    assert.equal(strokes.length, says.length, letter);
    strokes.forEach((points, index) => {
      assert.ok(says[index]!.length > 0, letter);
      assert.equal(
        says[index]!.includes('dot'),
        points.length === 1,
        `${letter}: a dot is one point, and nothing else is`,
      );
      if (points.length > 1) assert.ok(lengthOf(points) > 20, letter);
      for (const [x, y] of points) {
        assert.ok(x >= 0 && x <= width, `${letter}: ${x}`);
        assert.ok(y >= 0 && y <= 142, `${letter}: ${y}`);
      }
    });
  }
  assert.deepEqual(saidAlong('1'), []);
});

test('a beat is said for each stroke, and a straight line is as many strokes as it has corners', () => {
  for (const [letter, { strokes, says }] of LETTER_SHAPES) {
    assert.equal(strokeWays(letter).length, says.flat().length, letter);
    strokes.forEach((points, index) => {
      const isStraight = points.length <= 5 && points.length > 1;
      if (isStraight) assert.equal(says[index]!.length, points.length - 1, `${letter}, stroke ${index + 1}`);
    });
  }
  assert.deepEqual(strokeWays('d'), ['round-left', 'up-tall', 'down']);
  assert.deepEqual(strokeWays('1'), []);
});

test('letters stand on their lines: tall ones reach the top, small ones the second line, and only five go below', () => {
  const reach = (letter: string) => {
    const ys = LETTER_SHAPES.get(letter)!
      .strokes.flat()
      .map(([, y]) => y);
    return { top: Math.min(...ys), foot: Math.max(...ys) };
  };
  for (const letter of CAPITALS) {
    assert.ok(reach(letter).top <= 3, letter);
    assert.ok(Math.abs(reach(letter).foot - 99) <= 2, letter);
  }
  const below = SMALL.filter((letter) => reach(letter).foot > 110);
  assert.deepEqual(below, ['g', 'j', 'p', 'q', 'y']);
  for (const letter of SMALL.filter((one) => !below.includes(one)))
    assert.ok(Math.abs(reach(letter).foot - 100) <= 1, letter);
  assert.deepEqual(
    SMALL.filter((letter) => reach(letter).top <= 1),
    ['b', 'd', 'f', 'h', 'k', 'l'],
  );
  for (const letter of [...'aceghmnopqrsuvwxyz'].filter((one) => one !== 'h'))
    assert.ok(Math.abs(reach(letter).top - 44) <= 1, letter);
});

test('every letter begins at its top, but for e and the round part of d, and no stroke jumps', () => {
  for (const [letter, { strokes }] of LETTER_SHAPES) {
    const [first] = strokes;
    const top = Math.min(...first!.map(([, y]) => y));
    const start = first![0]![1];
    if (letter !== 'e' && letter !== 'd') assert.ok(start - top < 16, `${letter} begins ${start - top} below its top`);
    // Strokes of one piece go on where the last point was: nothing jumps.
    for (const points of strokes)
      points.slice(1).forEach(([x, y], index) => {
        const [px, py] = points[index]!;
        assert.ok(Math.hypot(x - px, y - py) <= 126, letter);
      });
  }
});

test('where two strokes begin at one place both numbers are seen; small ones are a road with a dot', () => {
  for (const letter of LETTER_SHAPES.keys()) {
    const { shapes } = tracedLetters(letter, 60);
    const numbers = shapes.filter((shape) => shape.kind === 'text');
    assert.equal(numbers.length, LETTER_SHAPES.get(letter)!.strokes.length, letter);
    numbers.forEach((one, index) => {
      for (const other of numbers.slice(index + 1))
        if (one.kind === 'text' && other.kind === 'text')
          assert.ok(Math.hypot(one.x - other.x, one.y - other.y) > 3.5, letter);
    });
    assert.equal(tracedLetters(letter, 14).shapes.filter((shape) => shape.kind === 'text').length, 0);
  }
  const pair = tracedLetters('sh', 40);
  assert.ok(pair.width > tracedLetters('s', 40).width + 5);
  assert.equal(tracedLetters('', 40).shapes.filter((shape) => shape.kind === 'circle').length, 0);
});
