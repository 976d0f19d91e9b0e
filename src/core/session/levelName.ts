/** The levels a part can be done at, from easier to harder. */
export const LEVELS = ['easier', 'right', 'harder'] as const;

/** One of the levels. */
export type LevelName = (typeof LEVELS)[number];
