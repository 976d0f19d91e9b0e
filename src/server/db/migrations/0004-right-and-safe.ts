import { QueryTypes } from 'sequelize';
import type { MigrationQueries } from './migrationQueries.ts';
import { markMadeLines } from './0004-made-lines.ts';

/**
 * Levels in replies, children who still mouth things, books that are not at hand, revisions on the shelf, keys in any
 * script, reservations by their date; parts that makers wrote get keys for their lines.
 */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    ALTER TABLE children
      ADD COLUMN mouthing boolean NOT NULL DEFAULT false,
      ADD COLUMN left_handed boolean NOT NULL DEFAULT false,
      ADD COLUMN needs text NOT NULL DEFAULT '' CHECK (char_length(needs) <= 300);

    ALTER TABLE shelf_items
      ADD COLUMN revision integer NOT NULL DEFAULT 1 CHECK (revision >= 1),
      ADD COLUMN corrected_factor numeric CHECK (corrected_factor > 0),
      DROP CONSTRAINT shelf_items_key_check,
      ADD CONSTRAINT shelf_items_key_check CHECK (
        char_length(key) BETWEEN 1 AND 80
        AND key !~ '[[:space:][:cntrl:]A-Z]'
        AND key !~ '[!-,./:-@[-\`{-~]'
        AND key !~ '(^-|-$|--)'
      );

    ALTER TABLE guide_links ADD COLUMN without_book_at timestamptz;

    ALTER TABLE replies DROP COLUMN reply_key;
    ALTER TABLE reply_parts ADD COLUMN level text CHECK (level IN ('easier', 'right', 'harder'));

    DROP INDEX reservations_one_live;
    CREATE UNIQUE INDEX reservations_one_live ON reservations (programme_id, book_key, needed_on) WHERE cancelled_at IS NULL;
    CREATE UNIQUE INDEX reservations_one_copy ON reservations (copy) WHERE cancelled_at IS NULL;
  `);
  const sessions = await queries.sequelize.query<{ id: string; script: { segments: unknown[] } }>(
    `SELECT id, script FROM sessions WHERE script::text LIKE '%"made"%'`,
    { type: QueryTypes.SELECT },
  );
  for (const { id, script } of sessions) {
    const segments = script.segments.map(markMadeLines);
    await queries.sequelize.query('UPDATE sessions SET script = CAST(:script AS jsonb) WHERE id = :id', {
      replacements: { id, script: JSON.stringify({ ...script, segments }) },
      type: QueryTypes.UPDATE,
    });
  }
}
