import type { MigrationQueries } from './migrationQueries.ts';

/** A keeping has a name of the window's, so that one whose answer was lost is known when it is sent again. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    ALTER TABLE session_edits ADD COLUMN key text CHECK (char_length(key) = 16);
    CREATE UNIQUE INDEX session_edits_key ON session_edits (session_id, key);
  `);
}
