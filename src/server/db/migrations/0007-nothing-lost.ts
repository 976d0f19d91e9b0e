import type { MigrationQueries } from './migrationQueries.ts';

/** What an installation remembers of itself, replies by their edition and key, and letters that are tried again for a day. */
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
  `);
}
