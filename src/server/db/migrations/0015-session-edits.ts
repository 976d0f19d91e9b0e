import type { MigrationQueries } from './migrationQueries.ts';

/** What was done to a session, by whom and when: the changes of each keeping, and those that take them back. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    CREATE TABLE session_edits (
      session_id uuid NOT NULL REFERENCES sessions ON DELETE CASCADE,
      number integer NOT NULL CHECK (number > 0),
      kept_by uuid REFERENCES users ON DELETE SET NULL,
      kept_at timestamptz NOT NULL,
      changes jsonb NOT NULL CHECK (jsonb_typeof(changes) = 'array'),
      back jsonb NOT NULL CHECK (jsonb_typeof(back) = 'array'),
      PRIMARY KEY (session_id, number)
    );
    CREATE OR REPLACE FUNCTION tell_session_kept() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        PERFORM pg_notify('session_kept', NEW.id || ' ' || NEW.revision);
        RETURN NEW;
      END $$;
    CREATE TRIGGER session_kept_tell AFTER UPDATE OF revision ON sessions
      FOR EACH ROW EXECUTE FUNCTION tell_session_kept();
  `);
}
