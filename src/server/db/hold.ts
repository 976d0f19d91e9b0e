import type { Transaction } from 'sequelize';
import { database, withPatientDatabase } from './connection.ts';

/** Holds a name until the transaction ends: whoever wants the same name meanwhile waits. */
export async function hold(name: string, transaction: Transaction): Promise<void> {
  await database().query('SELECT pg_advisory_xact_lock(hashtextextended(:name, 0))', {
    replacements: { name },
    transaction,
  });
}

/**
 * Runs work that must never be done twice at once on one database, such as a start: whoever comes second waits. A process
 * that is killed lets go when its connection ends.
 */
export function holdingInstallation<Value>(work: () => Promise<Value>): Promise<Value> {
  return withPatientDatabase((sequelize) =>
    sequelize.transaction(async (transaction) => {
      await sequelize.query(`SELECT pg_advisory_xact_lock(hashtextextended('footstool/installation', 0))`, {
        transaction,
      });
      return work();
    }),
  );
}
