// Breaks the rule that the core imports nothing from outside.
export type * from '../../server/db/models.ts';
