import type { MigrationQueries } from './migrationQueries.ts';

/** Terms, reservations of borrowed books, what authors decided about swaps, and calendar feeds. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    CREATE TABLE terms (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      title text NOT NULL CHECK (char_length(title) BETWEEN 1 AND 200),
      starts_on date NOT NULL,
      ends_on date NOT NULL,
      body jsonb NOT NULL CHECK (jsonb_typeof(body -> 'weeks') = 'array'),
      revision integer NOT NULL DEFAULT 1 CHECK (revision >= 1),
      kept_at timestamptz NOT NULL,
      kept_by uuid REFERENCES users ON DELETE SET NULL,
      CHECK (starts_on <= ends_on),
      UNIQUE (id, programme_id)
    );
    CREATE INDEX terms_by_start ON terms (programme_id, starts_on);

    CREATE TABLE reservations (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      book_key text NOT NULL,
      title text NOT NULL,
      copy text NOT NULL,
      lead_working_days integer NOT NULL CHECK (lead_working_days BETWEEN 1 AND 60),
      reserved_on date NOT NULL,
      arrives_on date NOT NULL,
      needed_on date NOT NULL,
      cancelled_at timestamptz,
      CHECK (arrives_on >= reserved_on)
    );
    CREATE UNIQUE INDEX reservations_one_live ON reservations (programme_id, book_key) WHERE cancelled_at IS NULL;

    CREATE TABLE swap_rulings (
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      wanted text NOT NULL,
      item text NOT NULL CHECK (item <> wanted),
      verdict text NOT NULL CHECK (verdict IN ('use', 'never')),
      fit numeric NOT NULL CHECK (fit >= 0 AND fit <= 1),
      why text NOT NULL CHECK (char_length(why) <= 300),
      ruled_by uuid REFERENCES users ON DELETE SET NULL,
      ruled_at timestamptz NOT NULL,
      PRIMARY KEY (programme_id, wanted, item)
    );

    CREATE TABLE calendar_feeds (
      id uuid PRIMARY KEY,
      programme_id uuid NOT NULL REFERENCES programmes ON DELETE CASCADE,
      token_hash text NOT NULL UNIQUE CHECK (char_length(token_hash) = 64),
      created_at timestamptz NOT NULL,
      revoked_at timestamptz
    );
    CREATE UNIQUE INDEX calendar_feeds_one_live ON calendar_feeds (programme_id) WHERE revoked_at IS NULL;
  `);
}
