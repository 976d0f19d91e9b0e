import type { MigrationQueries } from './migrationQueries.ts';

/**
 * An outbox of letters, links for people, tries to sign in, revisions of homes and settings, what was taken out and may
 * come back, ticks of Today, printing by the queue, and a word to every process when a guide has changed.
 */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    ALTER TABLE programmes ADD COLUMN revision integer NOT NULL DEFAULT 1 CHECK (revision >= 1);

    ALTER TABLE homes
      ADD COLUMN revision integer NOT NULL DEFAULT 1 CHECK (revision >= 1),
      ADD COLUMN taken_out_at timestamptz;
    CREATE INDEX homes_taken_out ON homes (programme_id) WHERE taken_out_at IS NOT NULL;

    ALTER TABLE sessions ADD COLUMN deleted_at timestamptz;

    ALTER TABLE sign_ins ADD COLUMN signed_in_at timestamptz NOT NULL DEFAULT now();
    CREATE INDEX sign_ins_by_user ON sign_ins (user_id);

    CREATE TABLE tries (
      key varchar(255) PRIMARY KEY,
      points integer NOT NULL DEFAULT 0,
      expire bigint
    );

    CREATE TABLE known_places (
      user_id uuid NOT NULL REFERENCES users ON DELETE CASCADE,
      place_hash text NOT NULL CHECK (char_length(place_hash) = 64),
      last_at timestamptz NOT NULL,
      PRIMARY KEY (user_id, place_hash)
    );

    CREATE TABLE person_links (
      id uuid PRIMARY KEY,
      kind text NOT NULL CHECK (kind IN ('invite', 'reset')),
      token_hash text NOT NULL UNIQUE CHECK (char_length(token_hash) = 64),
      programme_id uuid REFERENCES programmes ON DELETE CASCADE,
      user_id uuid REFERENCES users ON DELETE CASCADE,
      email text NOT NULL CHECK (email = lower(email) AND char_length(email) <= 200 AND position('@' in email) > 1),
      name text NOT NULL DEFAULT '' CHECK (char_length(name) <= 200),
      role text CHECK (role IN ('owner', 'author', 'reader')),
      created_at timestamptz NOT NULL,
      created_by uuid REFERENCES users ON DELETE SET NULL,
      expires_at timestamptz NOT NULL,
      used_at timestamptz,
      CHECK (kind <> 'invite' OR (programme_id IS NOT NULL AND role IS NOT NULL)),
      CHECK (kind <> 'reset' OR user_id IS NOT NULL)
    );
    CREATE UNIQUE INDEX person_links_one_invite ON person_links (programme_id, email) WHERE kind = 'invite' AND used_at IS NULL;

    ALTER TABLE sendings
      ADD COLUMN send_key uuid UNIQUE,
      ADD COLUMN address text NOT NULL DEFAULT '';

    ALTER TABLE messages
      ALTER COLUMN programme_id DROP NOT NULL,
      ALTER COLUMN link_id DROP NOT NULL,
      ALTER COLUMN sending_id DROP NOT NULL,
      ADD COLUMN person_link_id uuid UNIQUE REFERENCES person_links ON DELETE CASCADE,
      ADD COLUMN facts jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(facts) = 'object'),
      ADD COLUMN tries integer NOT NULL DEFAULT 0 CHECK (tries >= 0),
      ADD COLUMN changed_at timestamptz NOT NULL DEFAULT now(),
      ADD CONSTRAINT messages_one_cause CHECK ((link_id IS NOT NULL AND sending_id IS NOT NULL) <> (person_link_id IS NOT NULL)),
      DROP CONSTRAINT messages_state_check,
      ADD CONSTRAINT messages_state_check CHECK (state IN ('waiting', 'posting', 'sent', 'failed', 'unclear'));
    -- What waited before there was a queue was cut off: nobody is at work on it, and nobody knows how far it came.
    UPDATE messages SET state = 'unclear' WHERE state = 'waiting';
    CREATE INDEX messages_by_state ON messages (state) WHERE state IN ('waiting', 'posting');

    ALTER TABLE print_jobs
      ADD COLUMN choice jsonb CHECK (jsonb_typeof(choice) = 'object'),
      ADD COLUMN done integer NOT NULL DEFAULT 0 CHECK (done >= 0),
      ADD COLUMN total integer NOT NULL DEFAULT 0 CHECK (total >= 0),
      ADD COLUMN removed_at timestamptz;
    UPDATE print_jobs SET state = 'failed' WHERE state = 'waiting';
    UPDATE print_jobs SET done = pages, total = pages;

    CREATE TABLE ticks (
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      task text NOT NULL CHECK (char_length(task) BETWEEN 1 AND 300),
      due_on date NOT NULL,
      ticked_at timestamptz NOT NULL,
      ticked_by uuid REFERENCES users ON DELETE SET NULL,
      PRIMARY KEY (programme_id, task)
    );

    CREATE FUNCTION tell_guide_changed() RETURNS trigger LANGUAGE plpgsql AS $$
    DECLARE link uuid;
    BEGIN
      IF TG_TABLE_NAME = 'guide_links' THEN
        PERFORM pg_notify('guide_changed', OLD.token_hash);
        RETURN NULL;
      END IF;
      link := CASE WHEN TG_OP = 'DELETE' THEN OLD.link_id ELSE NEW.link_id END;
      PERFORM pg_notify('guide_changed', token_hash) FROM guide_links WHERE id = link;
      RETURN NULL;
    END $$;
    CREATE TRIGGER guide_links_tell AFTER UPDATE OR DELETE ON guide_links FOR EACH ROW EXECUTE FUNCTION tell_guide_changed();
    CREATE TRIGGER guide_copies_tell AFTER INSERT OR UPDATE OR DELETE ON guide_copies FOR EACH ROW EXECUTE FUNCTION tell_guide_changed();
    CREATE TRIGGER replies_tell AFTER INSERT OR UPDATE OR DELETE ON replies FOR EACH ROW EXECUTE FUNCTION tell_guide_changed();
  `);
}
