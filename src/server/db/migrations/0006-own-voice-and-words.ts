import type { MigrationQueries } from './migrationQueries.ts';

/**
 * Sounds in a programme's own voice, heard in guides, and the words that the children of a home read: which on which
 * day, right or not yet.
 */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    CREATE TABLE sound_recordings (
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      sound text NOT NULL CHECK (sound ~ '^[a-z]{1,3}(-[a-z]{1,3})?$'),
      audio bytea NOT NULL CHECK (octet_length(audio) BETWEEN 44 AND 140000),
      hash text NOT NULL CHECK (char_length(hash) = 64),
      milliseconds integer NOT NULL CHECK (milliseconds BETWEEN 1 AND 2000),
      recorded_at timestamptz NOT NULL,
      recorded_by uuid REFERENCES users ON DELETE SET NULL,
      PRIMARY KEY (programme_id, sound)
    );

    CREATE FUNCTION tell_guides_of_programme() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      PERFORM pg_notify('guide_changed', token_hash) FROM guide_links
        WHERE programme_id = CASE WHEN TG_OP = 'DELETE' THEN OLD.programme_id ELSE NEW.programme_id END AND revoked_at IS NULL;
      RETURN NULL;
    END $$;
    CREATE TRIGGER sound_recordings_tell AFTER INSERT OR UPDATE OR DELETE ON sound_recordings
      FOR EACH ROW EXECUTE FUNCTION tell_guides_of_programme();

    CREATE FUNCTION tell_guides_of_changed_programme() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      PERFORM pg_notify('guide_changed', token_hash) FROM guide_links WHERE programme_id = NEW.id AND revoked_at IS NULL;
      RETURN NULL;
    END $$;
    CREATE TRIGGER programmes_tell AFTER UPDATE OF settings ON programmes
      FOR EACH ROW EXECUTE FUNCTION tell_guides_of_changed_programme();

    CREATE TABLE word_readings (
      home_id uuid NOT NULL REFERENCES homes ON DELETE CASCADE,
      child text NOT NULL CHECK (char_length(child) BETWEEN 1 AND 80),
      read_on date NOT NULL,
      word text NOT NULL CHECK (word ~ '^[a-z]{1,24}$'),
      is_right boolean NOT NULL,
      PRIMARY KEY (home_id, child, read_on, word)
    );
  `);
}
