/** Skills, the rungs they stand on, and what comes next for a child. */

export { type NextStep, proposeNext } from './proposeNext.ts';
export { LADDERS, type Rung } from './rungs.ts';
export { ALL_SKILLS, LANGUAGE_SKILLS, NUMBER_SKILLS, OTHER_SKILLS } from './skills.ts';
