import {
  diceLines,
  isRude,
  missingWordBoxes,
  MOST_CELLS,
  threeInARow,
  wordHunt,
  wordPath,
  wordSearch,
  type WordSearchProblem,
} from '../../core/words/index.ts';
import { CalcInputError, calculation } from './calculation.ts';
import { boolean, object, string, whole } from './fields.ts';
import { readWords, wordList } from './wordFields.ts';

const KINDS = ['missing-word', 'word-search', 'word-hunt', 'three-in-a-row', 'dice-lines', 'path'] as const;
type Kind = (typeof KINDS)[number];

const MOST_WORDS = 40;
const MOST_SEED = 2_147_483_647;

export const calcSheet = calculation(
  object({
    kind: string()
      .required()
      .oneOf(KINDS as readonly Kind[], `must be one of ${KINDS.join(', ')}`),
    words: wordList(1, MOST_WORDS),
    seed: whole(0, MOST_SEED).default(1),
    rows: whole(2, MOST_CELLS).optional(),
    cols: whole(2, MOST_CELLS).optional(),
    /** Look-alikes in a row of a hunt. */
    others: whole(1, 11).optional(),
    hard: boolean(),
    pool: wordList().optional(),
    boards: whole(1, 30).optional(),
    perLine: whole(1, 12).optional(),
    places: whole(2, 60).optional(),
  }),
  (input) => {
    const words = readWords(input.words, 'words');
    for (const [index, word] of words.entries()) {
      if (words.indexOf(word) < index)
        throw new CalcInputError(`words[${index}]`, `“${word}” stands in the list twice`);
      if (isRude(word)) throw new CalcInputError(`words[${index}]`, 'is no word for a sheet that children get');
    }
    const seed = input.seed ?? 1;
    switch (input.kind) {
      case 'missing-word':
        return { boxes: missingWordBoxes(words, seed) };
      case 'word-search': {
        const made = wordSearch(words, { seed, rows: input.rows, cols: input.cols });
        if (!made.ok) throw new CalcInputError('words', describeSearchProblem(made.problem));
        return made.value;
      }
      case 'word-hunt':
        return {
          rows: wordHunt(words, {
            pool: readWords(input.pool ?? [], 'pool'),
            others: input.others ?? 5,
            isHard: input.hard === true,
            seed,
          }),
        };
      case 'three-in-a-row':
        return { boards: threeInARow(words, { boards: input.boards ?? 2, seed }) };
      case 'dice-lines':
        return { lines: diceLines(words, { perLine: input.perLine ?? 6, seed }) };
      case 'path':
        return { places: wordPath(words, { places: input.places ?? Math.max(20, words.length * 3), seed }) };
    }
  },
);

function describeSearchProblem(problem: WordSearchProblem): string {
  switch (problem.code) {
    case 'too-long':
      return `“${problem.word}” is longer than the ${problem.cells} places of a line: take a larger grid or leave it out`;
    case 'within':
      return `“${problem.word}” stands within “${problem.other}”, so it would be found twice: leave out one of them`;
    case 'no-room':
      return 'these words do not go into a grid of this size: take fewer words or a larger grid';
  }
}
