import type { MigrationQueries } from './migrationQueries.ts';

/** A home may have everything deleted that is kept of it, by a second link that goes to its own address. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    ALTER TABLE person_links
      ADD COLUMN home_id uuid REFERENCES homes ON DELETE CASCADE,
      DROP CONSTRAINT person_links_kind_check,
      ADD CONSTRAINT person_links_kind_check CHECK (kind IN ('invite', 'reset', 'forget')),
      ADD CONSTRAINT person_links_forget_home CHECK (kind <> 'forget' OR home_id IS NOT NULL);
    CREATE INDEX person_links_by_home ON person_links (home_id) WHERE home_id IS NOT NULL;
  `);
}
