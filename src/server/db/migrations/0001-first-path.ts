import type { MigrationQueries } from './migrationQueries.ts';

/** The first path: programmes and their people, the shelf, homes, sessions, what is sent and what comes back. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    CREATE TABLE programmes (
      id uuid PRIMARY KEY,
      slug text NOT NULL UNIQUE CHECK (slug ~ '^[a-z0-9-]{1,60}$'),
      name text NOT NULL CHECK (char_length(name) BETWEEN 1 AND 200),
      settings jsonb NOT NULL CHECK (jsonb_typeof(settings) = 'object')
    );

    CREATE TABLE users (
      id uuid PRIMARY KEY,
      email text NOT NULL UNIQUE CHECK (email = lower(email) AND position('@' in email) > 1),
      name text NOT NULL CHECK (char_length(name) BETWEEN 1 AND 200),
      password_hash text NOT NULL
    );

    CREATE TABLE memberships (
      user_id uuid NOT NULL REFERENCES users ON DELETE CASCADE,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      role text NOT NULL CHECK (role IN ('owner', 'author', 'reader')),
      PRIMARY KEY (user_id, programme_id)
    );

    CREATE TABLE sign_ins (
      token_hash text PRIMARY KEY CHECK (char_length(token_hash) = 64),
      user_id uuid NOT NULL,
      programme_id uuid NOT NULL,
      expires_at timestamptz NOT NULL,
      FOREIGN KEY (user_id, programme_id) REFERENCES memberships ON DELETE CASCADE
    );
    CREATE INDEX sign_ins_expiry ON sign_ins (expires_at);

    CREATE TABLE shelf_items (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      kind text NOT NULL CHECK (kind IN ('book', 'song', 'activity', 'thing')),
      key text NOT NULL CHECK (key ~ '^[a-z0-9]+(-[a-z0-9]+)*$' AND char_length(key) <= 80),
      title text NOT NULL CHECK (char_length(title) BETWEEN 1 AND 300),
      body jsonb NOT NULL CHECK (jsonb_typeof(body) = 'object'),
      retired_at timestamptz,
      minutes_corrected_at timestamptz,
      UNIQUE (programme_id, kind, key),
      UNIQUE (id, programme_id)
    );

    CREATE TABLE homes (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      nickname text NOT NULL CHECK (char_length(nickname) BETWEEN 1 AND 80),
      contact text NOT NULL DEFAULT '' CHECK (char_length(contact) <= 200),
      language text NOT NULL DEFAULT 'en' CHECK (language IN ('en', 'es', 'ar')),
      allergens text[] NOT NULL DEFAULT '{}',
      UNIQUE (programme_id, nickname),
      UNIQUE (id, programme_id)
    );

    CREATE TABLE children (
      id uuid PRIMARY KEY,
      home_id uuid NOT NULL REFERENCES homes ON DELETE CASCADE,
      nickname text NOT NULL CHECK (char_length(nickname) BETWEEN 1 AND 80),
      birth_month text NOT NULL CHECK (birth_month ~ '^[0-9]{4}-(0[1-9]|1[0-2])$'),
      loves text NOT NULL DEFAULT '' CHECK (char_length(loves) <= 80),
      position integer NOT NULL CHECK (position >= 0),
      UNIQUE (home_id, nickname)
    );

    CREATE TABLE home_things (
      home_id uuid NOT NULL,
      thing_id uuid NOT NULL,
      programme_id uuid NOT NULL,
      qty numeric NOT NULL CHECK (qty >= 0 AND qty <= 100000),
      PRIMARY KEY (home_id, thing_id),
      FOREIGN KEY (home_id, programme_id) REFERENCES homes (id, programme_id) ON DELETE CASCADE,
      FOREIGN KEY (thing_id, programme_id) REFERENCES shelf_items (id, programme_id) ON DELETE CASCADE
    );

    CREATE TABLE sessions (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      title text NOT NULL CHECK (char_length(title) BETWEEN 1 AND 300),
      held_on date NOT NULL,
      held_at text CHECK (held_at ~ '^([01][0-9]|2[0-3]):[0-5][0-9]$'),
      age_from_months integer NOT NULL CHECK (age_from_months >= 0),
      age_to_months integer NOT NULL CHECK (age_to_months <= 240),
      aim text NOT NULL CHECK (char_length(aim) <= 1000),
      script jsonb NOT NULL CHECK (jsonb_typeof(script -> 'segments') = 'array'),
      revision integer NOT NULL DEFAULT 1 CHECK (revision >= 1),
      kept_at timestamptz NOT NULL,
      kept_by uuid REFERENCES users ON DELETE SET NULL,
      CHECK (age_from_months <= age_to_months),
      UNIQUE (id, programme_id)
    );
    CREATE INDEX sessions_by_day ON sessions (programme_id, held_on);

    CREATE TABLE sendings (
      id uuid PRIMARY KEY,
      session_id uuid NOT NULL,
      programme_id uuid NOT NULL,
      edition integer NOT NULL CHECK (edition >= 1),
      sent_at timestamptz NOT NULL,
      sent_by uuid REFERENCES users ON DELETE SET NULL,
      session jsonb NOT NULL,
      UNIQUE (session_id, edition),
      FOREIGN KEY (session_id, programme_id) REFERENCES sessions (id, programme_id) ON DELETE CASCADE
    );

    CREATE TABLE guide_links (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL,
      session_id uuid NOT NULL,
      home_id uuid NOT NULL,
      token_hash text NOT NULL UNIQUE CHECK (char_length(token_hash) = 64),
      created_at timestamptz NOT NULL,
      revoked_at timestamptz,
      FOREIGN KEY (session_id, programme_id) REFERENCES sessions (id, programme_id) ON DELETE CASCADE,
      FOREIGN KEY (home_id, programme_id) REFERENCES homes (id, programme_id) ON DELETE CASCADE
    );
    CREATE UNIQUE INDEX guide_links_one_live ON guide_links (session_id, home_id) WHERE revoked_at IS NULL;

    CREATE TABLE guide_copies (
      link_id uuid NOT NULL REFERENCES guide_links ON DELETE CASCADE,
      sending_id uuid NOT NULL REFERENCES sendings ON DELETE CASCADE,
      edition integer NOT NULL CHECK (edition >= 1),
      guide jsonb NOT NULL,
      language text NOT NULL,
      sent_at timestamptz NOT NULL,
      PRIMARY KEY (link_id, edition)
    );
    CREATE INDEX guide_copies_by_sending ON guide_copies (sending_id);

    CREATE TABLE messages (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      link_id uuid NOT NULL REFERENCES guide_links ON DELETE CASCADE,
      sending_id uuid NOT NULL REFERENCES sendings ON DELETE CASCADE,
      recipient text NOT NULL,
      subject text NOT NULL,
      state text NOT NULL CHECK (state IN ('waiting', 'sent', 'failed')),
      mail_id text,
      sent_at timestamptz,
      UNIQUE (link_id, sending_id)
    );

    CREATE TABLE replies (
      id uuid PRIMARY KEY,
      link_id uuid NOT NULL UNIQUE REFERENCES guide_links ON DELETE CASCADE,
      edition integer NOT NULL,
      reply_key uuid NOT NULL UNIQUE,
      outcome text NOT NULL CHECK (outcome IN ('done', 'partly', 'not')),
      note text NOT NULL DEFAULT '' CHECK (char_length(note) <= 1000),
      replied_at timestamptz NOT NULL,
      FOREIGN KEY (link_id, edition) REFERENCES guide_copies (link_id, edition) ON DELETE CASCADE
    );

    CREATE TABLE reply_parts (
      reply_id uuid NOT NULL REFERENCES replies ON DELETE CASCADE,
      segment text NOT NULL,
      shelf_key text,
      title text NOT NULL,
      planned_minutes numeric NOT NULL CHECK (planned_minutes >= 0),
      minutes numeric CHECK (minutes > 0 AND minutes <= 240),
      ease text CHECK (ease IN ('too-easy', 'right', 'too-hard')),
      PRIMARY KEY (reply_id, segment)
    );
    CREATE INDEX reply_parts_by_key ON reply_parts (shelf_key);
  `);
}
