import type { WordGame } from '../../core/games/index.ts';
import type { MessageValues } from '../../core/message.ts';
import { err, ok, type Outcome } from '../../core/outcome.ts';
import { type Drawing, framedCard, inColumn, inGrid, inRow, wordCard } from '../../core/page/index.ts';
import {
  asSpelled,
  circleEvery,
  diceLines,
  matchAcross,
  missingWordBoxes,
  threeInARow,
  wordColours,
  wordHunt,
  wordPath,
  wordSearch,
  type WordSearchProblem,
} from '../../core/words/index.ts';
import { inOwn, type Refusal, wordWalk } from '../../core/makers/index.ts';

/** The sheets that are made of some words. */
export const KINDS = [
  'missing-word',
  'word-search',
  'word-hunt',
  'dice-lines',
  'path',
  'three-in-a-row',
  'match-across',
  'each-word-its-colour',
  'ring-every-one',
  'long-review',
] as const;
/** A sheet by its name. */
export type Kind = (typeof KINDS)[number];
const ACROSS = 170;
const COLOURS = ['yellow', 'red', 'blue', 'green', 'mulberry', 'grey', 'teal', 'marigold', 'line'] as const;
const TIMES = 4;

/** A sheet laid out, and what its answer key says line by line. */
interface Sheet {
  readonly drawing: Drawing;
  readonly key: readonly { readonly name: string; readonly values: MessageValues }[];
  /** How often each word is read on it, at the least; of a game it is found by playing. */
  readonly reads: number;
  /** Further parts, each below the one before. */
  readonly more?: readonly Drawing[] | undefined;
  /** What is played on it, if it is played. */
  readonly game?: WordGame | undefined;
}

/** A word in a frame, millimetres wide and high, its letters at most so large. */
export const cell = (text: string, width: number, height: number, most: number) =>
  framedCard(wordCard(text, { width, height, most }));

/** Lays a sheet out for words; the same seed, the same sheet. A search that cannot hold its words is refused. */
export function sheetOf(kind: Kind, read: readonly string[], seed: number): Outcome<Sheet, Refusal> {
  // Letters in a grid stay small; words stand as in a sentence.
  const words = kind === 'word-search' ? read : read.map(asSpelled);
  return LAYOUTS[kind](words, seed);
}

const row = (words: readonly string[], width: number, height: number, most: number) =>
  words.map((word) => cell(word, width, height, most));

function missingWordSheet(words: readonly string[], seed: number): Sheet {
  const boxes = missingWordBoxes(words, seed);
  const drawn = boxes.map(({ shown }) => inGrid(row([...shown, '______'], 27, 12, 7), 3, 1));
  const key = boxes.map(({ missing }, box) => ({
    name: 'key.missing',
    values: { box: box + 1, word: inOwn(missing) },
  }));
  return { drawing: inGrid(drawn, 2, 5), key, reads: words.length - 1 };
}

function searchSheet(words: readonly string[], seed: number): Outcome<Sheet, Refusal> {
  const made = wordSearch(words, { seed });
  if (!made.ok) return err(refusalOf(made.problem));
  const { grid, placed } = made.value;
  const side = Math.min(14, ACROSS / grid.length);
  const letters = inColumn(
    grid.map((letters) => inRow(row(letters, side, side, side * 0.7), 0)),
    0,
  );
  const blanks = words.map((word) => `${word} ______`);
  const key = placed.map(({ word, row, col, dir }) => ({
    name: 'key.found',
    values: { word: inOwn(word), row: row + 1, col: col + 1, dir },
  }));
  return ok({ drawing: inColumn([letters, inGrid(row(blanks, 54, 10, 6), 3, 2)], 5), key, reads: 2 });
}

function huntSheet(words: readonly string[], seed: number): Sheet {
  const rows = wordHunt(words, { pool: LOOK_ALIKES, others: 4, isHard: true, seed });
  const drawn = rows.map(({ target, words: others }) => inRow([cell(target, 30, 12, 8), ...row(others, 26, 12, 7)], 1));
  const key = rows.map(({ target, words: others }) => ({
    name: 'key.hunt',
    values: { word: inOwn(target), place: others.indexOf(target) + 1 },
  }));
  return { drawing: inColumn(drawn, 3), key, reads: 2 };
}

function diceLinesSheet(words: readonly string[], seed: number): Sheet {
  const lines = diceLines(words, { perLine: 5, seed });
  const drawn = lines.map((line, face) => inRow([cell(String(face + 1), 12, 12, 8), ...row(line, 30, 12, 8)], 1));
  return { drawing: inColumn(drawn, 2), key: [], reads: 0, game: { kind: 'dice-lines', cells: lines } };
}

function pathSheet(words: readonly string[], seed: number): Sheet {
  const places = wordPath(words, { places: 24, seed });
  return { drawing: wordWalk(places), key: [], reads: 0, game: { kind: 'path', cells: [places] } };
}

function threeInARowSheet(words: readonly string[], seed: number): Sheet {
  const boards = threeInARow(words, { boards: 2, seed });
  const drawn = boards.map((board) =>
    inColumn(
      board.map((places) => inRow(row(places, 26, 22, 8), 0)),
      0,
    ),
  );
  const cells = boards.map((board) => board.flat());
  return { drawing: inRow(drawn, 8), key: [], reads: 0, game: { kind: 'three-in-a-row', cells } };
}

function matchSheet(words: readonly string[], seed: number): Sheet {
  const { left, right } = matchAcross(words, seed);
  const rows = left.map((word, index) =>
    inRow([cell(word, 40, 13, 8), { width: 80, height: 13, shapes: [] }, cell(right[index]!, 40, 13, 8)], 2),
  );
  const key = left.map((word, index) => ({
    name: 'key.match',
    values: { word: inOwn(word), from: index + 1, to: right.indexOf(word) + 1 },
  }));
  return { drawing: inColumn(rows, 4), key, reads: 2 };
}

function colourSheet(words: readonly string[], seed: number): Sheet {
  const rows = wordColours(words, { times: TIMES, perRow: 6, seed });
  const legend = words.map((word, index) =>
    inRow(
      [
        {
          width: 10,
          height: 10,
          shapes: [{ kind: 'circle', x: 5, y: 5, r: 4, fill: COLOURS[index]!, stroke: 'ink', width: 0.3 }],
        },
        cell(word, 42, 10, 7),
      ],
      1,
    ),
  );
  const fields = inColumn(
    rows.map((words) => inRow(row(words, 27, 16, 7), 1)),
    1,
  );
  const key = words.map((word) => ({ name: 'key.colour', values: { word: inOwn(word), times: TIMES } }));
  return { drawing: inColumn([inGrid(legend, 3, 2), fields], 6), key, reads: TIMES };
}

function ringSheet(words: readonly string[], seed: number): Sheet {
  const [target] = words;
  const { fields, count } = circleEvery(target!, { others: words.slice(1), pool: LOOK_ALIKES, seed });
  const drawing = inColumn(
    [cell(target!, 50, 16, 10), inGrid(row(fields, 27, 14, 7), 6, 1), cell('= ______', 50, 14, 8)],
    5,
  );
  return { drawing, key: [{ name: 'key.ring', values: { word: inOwn(target!), times: count } }], reads: 1 };
}

/** A long sheet in parts, for once a month: match, fill in, and a hunt at the end. */
function reviewSheet(words: readonly string[], seed: number): Outcome<Sheet, Refusal> {
  const parts: Sheet[] = [matchSheet(words, seed)];
  for (const kind of ['missing-word', 'word-hunt'] as const) {
    const part = sheetOf(kind, words, seed);
    if (!part.ok) return part;
    parts.push(part.value);
  }
  return ok({
    drawing: parts[0]!.drawing,
    more: parts.slice(1).map(({ drawing }) => drawing),
    key: parts.flatMap(({ key }) => key),
    reads: parts.reduce((sum, { reads }) => sum + reads, 0),
  });
}

/** Everyday words that look like others; those of the sheet come first. */
const LOOK_ALIKES =
  'then them they this that these those was saw no on of off for from form how who when went want were where here there one once see she so go get got me my may be by but and an any add'.split(
    ' ',
  );

function refusalOf(problem: WordSearchProblem): Refusal {
  switch (problem.code) {
    case 'within':
      return {
        code: 'list',
        dial: 'words',
        why: 'problem.within',
        values: { word: inOwn(problem.word), other: inOwn(problem.other) },
      };
    case 'too-long':
    case 'no-room':
      return { code: 'list', dial: 'words', why: 'problem.no-room' };
  }
}

type Layout = (words: readonly string[], seed: number) => Outcome<Sheet, Refusal>;

const always =
  (layout: (words: readonly string[], seed: number) => Sheet): Layout =>
  (words, seed) =>
    ok(layout(words, seed));

const LAYOUTS: Readonly<Record<Kind, Layout>> = {
  'missing-word': always(missingWordSheet),
  'word-search': searchSheet,
  'word-hunt': always(huntSheet),
  'dice-lines': always(diceLinesSheet),
  path: always(pathSheet),
  'three-in-a-row': always(threeInARowSheet),
  'match-across': always(matchSheet),
  'each-word-its-colour': always(colourSheet),
  'ring-every-one': always(ringSheet),
  'long-review': reviewSheet,
};
