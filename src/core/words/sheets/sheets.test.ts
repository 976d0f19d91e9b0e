import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { rudeSpans } from '../rudeWords.ts';
import { diceLines, threeInARow, wordPath } from './gridGames.ts';
import { circleEvery, matchAcross, wordColours } from './matchAndMark.ts';
import { missingWordBoxes } from './missingWord.ts';
import { likeness, wordHunt } from './wordHunt.ts';
import { wordSearch } from './wordSearch.ts';

const POOL =
  'the and my see look go can me at we it sun hop cat dog red mud pin fish ship chick said come little jump'.split(' ');
const someWords = (least: number, most: number) =>
  fc.uniqueArray(fc.constantFrom(...POOL), { minLength: least, maxLength: most });
const seeds = fc.integer({ min: 0, max: 2_000_000_000 });

test('each box lacks another word, so every word is read in all boxes but one; a seed gives the same sheet', () => {
  fc.assert(
    fc.property(someWords(1, 12), seeds, (words, seed) => {
      const boxes = missingWordBoxes(words, seed);
      assert.deepEqual(boxes.map(({ missing }) => missing).sort(), [...words].sort());
      for (const { shown, missing } of boxes) assert.deepEqual([...shown, missing].sort(), [...words].sort());
      for (const word of words)
        assert.equal(boxes.filter(({ shown }) => shown.includes(word)).length, words.length - 1);
      assert.deepEqual(missingWordBoxes(words, seed), boxes);
    }),
  );
});

/** All places of a word to the right and down, found slowly. */
function placesOf(word: string, grid: readonly (readonly string[])[]): string[] {
  const places: string[] = [];
  for (let row = 0; row < grid.length; row++)
    for (let col = 0; col < grid[0]!.length; col++)
      for (const [dir, down, right] of [
        ['right', 0, 1],
        ['down', 1, 0],
      ] as const)
        if ([...word].every((letter, at) => grid[row + at * down]?.[col + at * right] === letter))
          places.push(`${row} ${col} ${dir}`);
  return places;
}

test('every word of a word search stands where it is said, and nowhere else; nothing rude; a seed gives the same grid', () => {
  let made = 0;
  fc.assert(
    fc.property(someWords(1, 10), seeds, (words, seed) => {
      const answer = wordSearch(words, { seed });
      const isWithin = words.some((word) => words.some((other) => other !== word && other.includes(word)));
      if (!answer.ok) return assert.equal(answer.problem.code === 'within', isWithin);
      made += 1;
      const { grid, placed } = answer.value;
      assert.deepEqual(
        placed.map(({ word }) => word),
        words,
      );
      for (const { word, row, col, dir } of placed) assert.deepEqual(placesOf(word, grid), [`${row} ${col} ${dir}`]);
      const lines = [
        ...grid.map((row) => row.join('')),
        ...grid[0]!.map((_, col) => grid.map((row) => row[col]).join('')),
      ];
      for (const line of lines) assert.deepEqual([...rudeSpans(line), ...rudeSpans([...line].reverse().join(''))], []);
      assert.ok(grid.flat().every((letter) => /^[a-z]$/.test(letter)));
      assert.deepEqual(wordSearch(words, { seed }), answer);
    }),
    { numRuns: 150 },
  );
  assert.ok(made > 60);
});

test('words that hold a rude one within themselves go into a grid, and are the only place where it stands', () => {
  const words = ['grass', 'hello', 'class', 'shell', 'cucumber'].filter((word) => word !== 'class');
  for (let seed = 0; seed < 20; seed++) {
    const answer = wordSearch(words, { seed });
    assert.ok(answer.ok, String(seed));
    const { grid } = answer.value;
    const lines = [
      ...grid.map((row) => row.join('')),
      ...grid[0]!.map((_, col) => grid.map((row) => row[col]).join('')),
    ];
    for (const line of lines)
      for (const [from, to] of rudeSpans(line)) {
        const rude = line.slice(from, to);
        assert.ok(
          words.some((word) => word.includes(rude) && line.includes(word)),
          `${seed} ${line}`,
        );
      }
  }
});

test('a grid that cannot hold its words is refused with the reason, soon', () => {
  const many = POOL.filter((word) => word.length > 2 && !['red', 'chick'].includes(word));
  const refused = (words: string[], size: object) => {
    const answer = wordSearch(words, { seed: 1, ...size });
    return answer.ok ? 'made' : answer.problem.code;
  };
  assert.equal(refused(['elephant'], { rows: 4, cols: 4 }), 'too-long');
  assert.equal(refused(many, { rows: 4, cols: 6 }), 'no-room');
  assert.equal(refused(['in', 'pin'], {}), 'within');
  assert.equal(refused(['cat'], { rows: 2, cols: 3 }), 'made');
});

test('a row of a hunt holds its word once among others, the harder the more alike', () => {
  const pool = ['cot', 'cut', 'cap', 'hat', 'elephant', 'to', 'xyz'];
  fc.assert(
    fc.property(someWords(2, 8), seeds, fc.boolean(), (words, seed, isHard) => {
      const rows = wordHunt(words, { pool, others: 5, isHard, seed });
      assert.deepEqual(
        rows.map(({ target }) => target),
        words,
      );
      for (const { target, words: row } of rows) {
        assert.equal(row.filter((word) => word === target).length, 1);
        assert.equal(new Set(row).size, 6);
      }
      assert.deepEqual(wordHunt(words, { pool, others: 5, isHard, seed }), rows);
    }),
  );
  const mean = (isHard: boolean) => {
    const [row] = wordHunt(['cat'], { pool, others: 3, isHard, seed: 4 });
    return row!.words.filter((word) => word !== 'cat').reduce((sum, word) => sum + likeness(word, 'cat'), 0);
  };
  assert.ok(mean(true) > mean(false));
  assert.ok(Math.abs(likeness('cat', 'cat') - 1) < 1e-9);
});

test('on boards, lines and paths each word is met as often as any other, but for one', () => {
  const isEven = (words: readonly string[], cells: readonly string[]) => {
    const counts = words.map((word) => cells.filter((cell) => cell === word).length);
    return Math.max(...counts) - Math.min(...counts) <= 1;
  };
  fc.assert(
    fc.property(someWords(1, 14), seeds, fc.integer({ min: 1, max: 8 }), (words, seed, size) => {
      for (const board of threeInARow(words, { boards: size, seed })) {
        assert.deepEqual(
          board.map((row) => row.length),
          [3, 3, 3],
        );
        if (words.length >= 9) assert.equal(new Set(board.flat()).size, 9);
        else assert.ok(isEven(words, board.flat()));
      }
      const lines = diceLines(words, { perLine: size, seed });
      assert.ok(lines.length === 6 && isEven(words, lines.flat()));
      const path = wordPath(words, { places: 10 + size, seed });
      assert.ok(path.length === 10 + size && isEven(words, path));
      if (words.length > 1) assert.ok(path.every((word, at) => word !== path[at + 1]));
      assert.deepEqual(wordPath(words, { places: 10 + size, seed }), path);
    }),
  );
});

test('words to join stand once on each side, and none opposite itself', () => {
  for (let seed = 1; seed <= 200; seed++) {
    const words = ['the', 'and', 'my', 'see', 'go', 'we', 'up', 'is', 'in'].slice(0, 2 + (seed % 8));
    const { left, right } = matchAcross(words, seed);
    assert.deepEqual([...left].sort(), [...words].sort());
    assert.deepEqual([...right].sort(), [...words].sort());
    left.forEach((word, index) => assert.notEqual(right[index], word));
    assert.deepEqual(matchAcross(words, seed), { left, right });
  }
  assert.deepEqual(matchAcross([], 1), { left: [], right: [] });
});

test('fields to colour hold each word equally often; from three words on none touches itself in its row', () => {
  for (let seed = 1; seed <= 200; seed++) {
    const words = ['the', 'and', 'my', 'see', 'go', 'we', 'up', 'is', 'in'].slice(0, 3 + (seed % 7));
    const rows = wordColours(words, { times: 4, perRow: 6, seed });
    const all = rows.flat();
    for (const word of words) assert.equal(all.filter((other) => other === word).length, 4);
    let touching = 0;
    for (const row of rows) row.forEach((word, at) => (touching += at > 0 && row[at - 1] === word ? 1 : 0));
    assert.ok(touching <= 1, rows.map((row) => row.join(' ')).join(' / '));
  }
});

test('the word to ring stands as often as its key says, five to nine times in 24 fields, with all others of the sheet', () => {
  for (let seed = 1; seed <= 200; seed++) {
    const others = ['and', 'my', 'see', 'go'];
    const { fields, count } = circleEvery('the', { others, pool: ['then', 'they', 'he', 'that'], seed });
    assert.equal(fields.length, 24);
    assert.equal(fields.filter((word) => word === 'the').length, count);
    assert.ok(count >= 5 && count <= 9);
    for (const word of others) assert.ok(fields.includes(word));
    assert.deepEqual(circleEvery('the', { others, pool: ['then', 'they', 'he', 'that'], seed }), { fields, count });
  }
});
