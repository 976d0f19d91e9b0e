import { backUpBeforeChange } from '../server/backup/backups.ts';
import { closeDatabase } from '../server/db/connection.ts';
import { holdingInstallation } from '../server/db/hold.ts';
import { migrate } from '../server/db/migrations/migrate.ts';

/** `footstool migrate`: brings the tables up to date, with a backup of what was there. A second time changes nothing. */
export async function runMigrate(): Promise<number> {
  try {
    const applied = await holdingInstallation(() => migrate({ beforeChange: backUpBeforeChange }));
    const said = applied.length === 0 ? 'the tables are up to date' : `the tables were brought to ${applied.at(-1)}`;
    process.stdout.write(`footstool: ${said}\n`);
    return 0;
  } finally {
    await closeDatabase();
  }
}
