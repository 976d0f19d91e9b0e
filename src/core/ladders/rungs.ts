import { LANGUAGE_SKILLS, NUMBER_SKILLS } from './skills.ts';

/** A skill that is a rung of a ladder. */
export type Rung = (typeof NUMBER_SKILLS | typeof LANGUAGE_SKILLS)[number];

/** Both ladders, the rungs of each in their order. */
export const LADDERS: readonly { readonly name: 'number' | 'language'; readonly rungs: readonly Rung[] }[] = [
  { name: 'number', rungs: NUMBER_SKILLS },
  { name: 'language', rungs: LANGUAGE_SKILLS },
];
