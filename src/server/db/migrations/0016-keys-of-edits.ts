import type { MigrationQueries } from './migrationQueries.ts';

/**
 * A keeping has a key of the window's, so that one whose answer was lost is known when it is sent again; and authors may give
 * a state of a session a name.
 */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    ALTER TABLE session_edits ADD COLUMN key text CHECK (char_length(key) = 16);
    ALTER TABLE session_edits ADD COLUMN name text CHECK (char_length(name) BETWEEN 1 AND 80);
    CREATE UNIQUE INDEX session_edits_key ON session_edits (session_id, key);
  `);
}
