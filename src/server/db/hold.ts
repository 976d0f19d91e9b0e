import type { Transaction } from 'sequelize';
import { database } from './connection.ts';

/** Holds a name until the transaction ends: whoever wants the same name meanwhile waits. */
export async function hold(name: string, transaction: Transaction): Promise<void> {
  await database().query('SELECT pg_advisory_xact_lock(hashtextextended(:name, 0))', {
    replacements: { name },
    transaction,
  });
}
