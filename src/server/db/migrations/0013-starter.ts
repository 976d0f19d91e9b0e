import type { MigrationQueries } from './migrationQueries.ts';

/** What a programme took from the starter collection, as it was then: an update never replaces what was changed since. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    ALTER TABLE programmes ADD COLUMN starter_version int CHECK (starter_version > 0);
    CREATE TABLE starter_takes (
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      kind text NOT NULL CHECK (kind IN ('book', 'song', 'activity', 'thing')),
      key text NOT NULL,
      body jsonb NOT NULL,
      taken_at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (programme_id, kind, key)
    );
  `);
}
