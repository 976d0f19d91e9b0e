import type { MigrationQueries } from './migrationQueries.ts';

/** What the printer was given, and what came out. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    CREATE TABLE print_jobs (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      session_id uuid REFERENCES sessions ON DELETE SET NULL,
      title text NOT NULL CHECK (char_length(title) BETWEEN 1 AND 400),
      state text NOT NULL CHECK (state IN ('waiting', 'done', 'failed')),
      pages integer NOT NULL DEFAULT 0 CHECK (pages >= 0),
      bytes integer NOT NULL DEFAULT 0 CHECK (bytes >= 0),
      created_at timestamptz NOT NULL,
      created_by uuid REFERENCES users ON DELETE SET NULL,
      CHECK (state <> 'done' OR (pages > 0 AND bytes > 0))
    );
    CREATE INDEX print_jobs_by_time ON print_jobs (programme_id, created_at);
  `);
}
