import type { WordGame } from '../games/wordGames.ts';
import type { MessageValues } from '../message.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import { inColumn, inGrid, inRow, type Drawing } from '../page/drawing.ts';
import { framedCard, wordCard } from '../page/pieces.ts';
import { asWritten } from '../words/readableWord.ts';
import { diceLines, threeInARow, wordPath } from '../words/sheets/gridGames.ts';
import { circleEvery, matchAcross, wordColours } from '../words/sheets/matchAndMark.ts';
import { missingWordBoxes } from '../words/sheets/missingWord.ts';
import { wordHunt } from '../words/sheets/wordHunt.ts';
import { wordSearch, type WordSearchProblem } from '../words/sheets/wordSearch.ts';
import type { Refusal } from './maker.ts';
import { inOwn } from './ownWords.ts';

/** The sheets that are made of some words. */
export const KINDS = [
  'missing word',
  'word search',
  'word hunt',
  'dice lines',
  'path',
  'three in a row',
  'match across',
  'each word its colour',
  'ring every one',
  'long review',
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
  const words = kind === 'word search' ? read : read.map(asWritten);
  switch (kind) {
    case 'missing word': {
      const boxes = missingWordBoxes(words, seed);
      const drawn = boxes.map(({ shown }) =>
        inGrid(
          [...shown, '______'].map((word) => cell(word, 27, 12, 7)),
          3,
          1,
        ),
      );
      const key = boxes.map(({ missing }, box) => ({
        name: 'key.missing',
        values: { box: box + 1, word: inOwn(missing) },
      }));
      return ok({ drawing: inGrid(drawn, 2, 5), key, reads: words.length - 1 });
    }
    case 'word search': {
      const made = wordSearch(words, { seed });
      if (!made.ok) return err(refusalOf(made.problem));
      const { grid, placed } = made.value;
      const side = Math.min(14, ACROSS / grid.length);
      const letters = inColumn(
        grid.map((row) =>
          inRow(
            row.map((letter) => cell(letter, side, side, side * 0.7)),
            0,
          ),
        ),
        0,
      );
      const toWrite = inGrid(
        words.map((word) => cell(`${word} ______`, 54, 10, 6)),
        3,
        2,
      );
      const key = placed.map(({ word, row, col, dir }) => ({
        name: 'key.found',
        values: { word: inOwn(word), row: row + 1, col: col + 1, dir },
      }));
      return ok({ drawing: inColumn([letters, toWrite], 5), key, reads: 2 });
    }
    case 'word hunt': {
      const rows = wordHunt(words, { pool: LOOK_ALIKES, others: 4, isHard: true, seed });
      const drawn = rows.map(({ target, words: row }) =>
        inRow([cell(target, 30, 12, 8), ...row.map((word) => cell(word, 26, 12, 7))], 1),
      );
      const key = rows.map(({ target, words: row }) => ({
        name: 'key.hunt',
        values: { word: inOwn(target), place: row.indexOf(target) + 1 },
      }));
      return ok({ drawing: inColumn(drawn, 3), key, reads: 2 });
    }
    case 'dice lines': {
      const lines = diceLines(words, { perLine: 5, seed });
      const drawn = lines.map((line, face) =>
        inRow([cell(String(face + 1), 12, 12, 8), ...line.map((word) => cell(word, 30, 12, 8))], 1),
      );
      return ok({ drawing: inColumn(drawn, 2), key: [], reads: 0, game: { kind: 'dice-lines', cells: lines } });
    }
    case 'path': {
      const places = wordPath(words, { places: 24, seed });
      return ok({
        drawing: inGrid(
          places.map((word) => cell(word, 26, 16, 7)),
          6,
          1,
        ),
        key: [],
        reads: 0,
        game: { kind: 'path', cells: [places] },
      });
    }
    case 'match across':
      return ok(matchSheet(words, seed));
    case 'each word its colour':
      return ok(colourSheet(words, seed));
    case 'ring every one':
      return ok(ringSheet(words, seed));
    case 'long review':
      return reviewSheet(words, seed);
    case 'three in a row': {
      const boards = threeInARow(words, { boards: 2, seed });
      const drawn = boards.map((board) =>
        inColumn(
          board.map((row) =>
            inRow(
              row.map((word) => cell(word, 26, 22, 8)),
              0,
            ),
          ),
          0,
        ),
      );
      const cells = boards.map((board) => board.flat());
      return ok({ drawing: inRow(drawn, 8), key: [], reads: 0, game: { kind: 'three-in-a-row', cells } });
    }
  }
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
          ...{ width: 10, height: 10 },
          shapes: [{ kind: 'circle', x: 5, y: 5, r: 4, fill: COLOURS[index]!, stroke: 'ink', width: 0.3 }],
        },
        cell(word, 42, 10, 7),
      ],
      1,
    ),
  );
  const fields = inColumn(
    rows.map((row) =>
      inRow(
        row.map((word) => cell(word, 27, 16, 7)),
        1,
      ),
    ),
    1,
  );
  const key = words.map((word) => ({ name: 'key.colour', values: { word: inOwn(word), times: TIMES } }));
  return { drawing: inColumn([inGrid(legend, 3, 2), fields], 6), key, reads: TIMES };
}

function ringSheet(words: readonly string[], seed: number): Sheet {
  const [target] = words;
  const { fields, count } = circleEvery(target!, { others: words.slice(1), pool: LOOK_ALIKES, seed });
  const drawing = inColumn(
    [
      cell(target!, 50, 16, 10),
      inGrid(
        fields.map((word) => cell(word, 27, 14, 7)),
        6,
        1,
      ),
      cell('= ______', 50, 14, 8),
    ],
    5,
  );
  return { drawing, key: [{ name: 'key.ring', values: { word: inOwn(target!), times: count } }], reads: 1 };
}

/** A long sheet in parts, for once a month: match, fill in, and a hunt at the end. */
function reviewSheet(words: readonly string[], seed: number): Outcome<Sheet, Refusal> {
  const parts: Sheet[] = [matchSheet(words, seed)];
  for (const kind of ['missing word', 'word hunt'] as const) {
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
