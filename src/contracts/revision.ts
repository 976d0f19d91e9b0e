import type { FieldProblem } from './fieldProblem.ts';

/** The largest number that the database keeps for a revision. */
const LARGEST = 2_147_483_647;

/** Whether a value is a revision: a whole number from 1. */
export function isRevision(value: unknown): value is number {
  return Number.isInteger(value) && (value as number) >= 1 && (value as number) <= LARGEST;
}

/** What is said of one that is none. */
export const NO_REVISION: FieldProblem = { path: 'revision', message: 'must be a whole number from 1' };
