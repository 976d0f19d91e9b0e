import { skillCoverage } from '../../core/terms/index.ts';
import { letterTiles, wordSets } from '../../core/words/index.ts';
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
    gapsWeeks: array()
      .of(whole(1, 520))
      .required()
      .min(1, 'must hold at least one gap')
      .max(100, 'must hold at most 100 gaps'),
    today: day(),
    log: array()
      .of(object({ on: day(), word: name(), right: boolean().required() }))
      .required()
      .max(100_000, 'must hold at most 100000 entries'),
  }),
  (input) => wordSets(input),
);

export const calcCoverage = calculation(
  object({
    sessions: array()
      .of(object({ on: day(), skills: names() }))
      .required()
      .max(10_000, 'must hold at most 10000 sessions'),
    skills: names(),
    today: day(),
  }),
  ({ sessions, skills, today }) => skillCoverage(sessions, skills, today),
);
