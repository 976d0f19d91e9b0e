import type { Transaction } from 'sequelize';
import { tables } from './tables.ts';

export type { Transaction };

/** Runs work in one transaction: all of it is written, or nothing when it throws. */
export function inTransaction<Value>(work: (transaction: Transaction) => Promise<Value>): Promise<Value> {
  return tables().transaction(work);
}
