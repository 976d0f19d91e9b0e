import { skillCoverage } from '../../core/terms/coverage.ts';
import { letterTiles } from '../../core/words/tiles.ts';
import { wordSets } from '../../core/words/wordSets.ts';
import { array, boolean, counts, day, name, names, object, whole } from './fields.ts';
import { calculation } from './calculation.ts';

export const calcTiles = calculation(object({ words: names(), have: counts() }), ({ words, have }) =>
  letterTiles(words, have),
);

export const calcWordSets = calculation(
  object({
    order: names(),
    size: whole(1, 1000),
    restAfter: whole(1, 1000),
    gapsWeeks: array().of(whole(1, 520)).required().min(1, 'must hold at least one gap'),
    today: day(),
    log: array()
      .of(object({ on: day(), word: name(), right: boolean().required() }))
      .required(),
  }),
  (input) => wordSets(input),
);

export const calcCoverage = calculation(
  object({
    sessions: array()
      .of(object({ on: day(), skills: names() }))
      .required(),
    skills: names(),
    today: day(),
  }),
  ({ sessions, skills, today }) => skillCoverage(sessions, skills, today),
);
