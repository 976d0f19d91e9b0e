import type { MigrationQueries } from './migrationQueries.ts';

/**
 * What several processes share: who is at work on a print, what the catalogue stand-in has reserved. And guides hear of it
 * when a home's children change, or a word of theirs is written down: both decide whether a guide asks for words.
 */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    ALTER TABLE print_jobs ADD COLUMN worked_at timestamptz;

    CREATE TABLE catalogue_reserved (
      copy text PRIMARY KEY CHECK (char_length(copy) BETWEEN 1 AND 80),
      reserved_at timestamptz NOT NULL DEFAULT now()
    );

    INSERT INTO catalogue_reserved (copy) SELECT copy FROM reservations WHERE cancelled_at IS NULL ON CONFLICT DO NOTHING;

    CREATE FUNCTION tell_guides_of_home() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      PERFORM pg_notify('guide_changed', token_hash) FROM guide_links
        WHERE home_id = CASE WHEN TG_OP = 'DELETE' THEN OLD.home_id ELSE NEW.home_id END AND revoked_at IS NULL;
      RETURN NULL;
    END $$;
    CREATE TRIGGER children_tell AFTER INSERT OR UPDATE OR DELETE ON children
      FOR EACH ROW EXECUTE FUNCTION tell_guides_of_home();
    CREATE TRIGGER word_readings_tell AFTER INSERT OR DELETE ON word_readings
      FOR EACH ROW EXECUTE FUNCTION tell_guides_of_home();
  `);
}
