import type { MigrationQueries } from './migrationQueries.ts';

/**
 * Homes by the thousand: groups of them, sendings that are written in chunks, and an index for each way in which their rows
 * are found.
 */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    CREATE TABLE home_groups (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      name text NOT NULL CHECK (char_length(name) BETWEEN 1 AND 80),
      UNIQUE (programme_id, name),
      UNIQUE (id, programme_id)
    );
    CREATE TABLE home_group_members (
      group_id uuid NOT NULL,
      home_id uuid NOT NULL,
      programme_id uuid NOT NULL,
      PRIMARY KEY (group_id, home_id),
      FOREIGN KEY (group_id, programme_id) REFERENCES home_groups (id, programme_id) ON DELETE CASCADE,
      FOREIGN KEY (home_id, programme_id) REFERENCES homes (id, programme_id) ON DELETE CASCADE
    );
    CREATE INDEX home_group_members_by_home ON home_group_members (home_id);

    -- Whom a sending went to, as it was asked for; empty in those from before.
    ALTER TABLE sendings ADD COLUMN audience jsonb NOT NULL DEFAULT '{}';
    CREATE TABLE sending_chunks (
      sending_id uuid NOT NULL REFERENCES sendings ON DELETE CASCADE,
      position integer NOT NULL CHECK (position >= 0),
      home_ids uuid[] NOT NULL CHECK (cardinality(home_ids) BETWEEN 1 AND 200),
      written_at timestamptz,
      -- Homes of it that something new would have to be looked at for.
      left_out integer NOT NULL DEFAULT 0 CHECK (left_out >= 0),
      PRIMARY KEY (sending_id, position)
    );
    CREATE INDEX sending_chunks_unwritten ON sending_chunks (sending_id) WHERE written_at IS NULL;

    CREATE INDEX home_things_by_thing ON home_things (thing_id, home_id) INCLUDE (qty);
    CREATE INDEX guide_links_by_session ON guide_links (session_id, home_id);
    CREATE INDEX guide_links_by_home ON guide_links (home_id);
    CREATE INDEX messages_by_sending ON messages (sending_id);
    CREATE INDEX replies_by_time ON replies (replied_at);
  `);
}
