import type { MigrationQueries } from './migrationQueries.ts';

/**
 * What an installation remembers of itself, replies by their edition and key, letters that are tried again for a day, and
 * what was decided about what the words of a session call for.
 */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    CREATE TABLE installation (
      name text PRIMARY KEY CHECK (name ~ '^[a-z-]{1,40}$'),
      value text NOT NULL CHECK (char_length(value) <= 200),
      changed_at timestamptz NOT NULL DEFAULT now()
    );

    -- Digests of the presses that a reply was made of, so that one that arrives again is known, however late.
    ALTER TABLE replies ADD COLUMN taken text[] NOT NULL DEFAULT '{}' CHECK (cardinality(taken) <= 50);

    ALTER TABLE messages
      ADD COLUMN next_try_at timestamptz,
      ADD COLUMN first_tried_at timestamptz;
    CREATE INDEX messages_by_next_try ON messages (next_try_at) WHERE state = 'waiting';

    CREATE TABLE session_decisions (
      id uuid PRIMARY KEY,
      session_id uuid NOT NULL,
      programme_id uuid NOT NULL,
      segment text NOT NULL CHECK (char_length(segment) BETWEEN 1 AND 80),
      rule text NOT NULL CHECK (char_length(rule) BETWEEN 1 AND 60),
      subject text NOT NULL CHECK (char_length(subject) <= 2000),
      words text NOT NULL CHECK (char_length(words) <= 4000),
      text text NOT NULL CHECK (char_length(text) BETWEEN 1 AND 200000),
      decided text NOT NULL CHECK (decided IN ('fine', 'caution', 'left-out', 'real')),
      why text NOT NULL CHECK (char_length(why) <= 500 AND (decided <> 'fine' OR char_length(btrim(why)) >= 3)),
      youngest_months integer NOT NULL CHECK (youngest_months >= 0),
      allergens text[] NOT NULL,
      decided_by uuid REFERENCES users ON DELETE SET NULL,
      decided_by_name text NOT NULL CHECK (char_length(decided_by_name) BETWEEN 1 AND 200),
      decided_at timestamptz NOT NULL,
      FOREIGN KEY (session_id, programme_id) REFERENCES sessions (id, programme_id) ON DELETE CASCADE
    );
    CREATE INDEX session_decisions_by_session ON session_decisions (session_id, decided_at);

    ALTER TABLE sendings ADD COLUMN decisions jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(decisions) = 'array');

    -- Somebody ticked what these things are like or hold, so somebody looked at them.
    UPDATE shelf_items SET body = body || '{"checked": true}'
      WHERE kind = 'thing' AND (jsonb_array_length(body -> 'traits') > 0 OR jsonb_array_length(body -> 'allergens') > 0);
  `);
}
