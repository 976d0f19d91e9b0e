export const LEVELS = ['easier', 'right', 'harder'] as const;

export type LevelName = (typeof LEVELS)[number];
