import type { MigrationQueries } from './migrationQueries.ts';

/** What a home said on its guide that it has not got, with how many it was known to have, so that it can be taken back. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    CREATE TABLE guide_lacks (
      link_id uuid NOT NULL REFERENCES guide_links ON DELETE CASCADE,
      item text NOT NULL CHECK (char_length(item) BETWEEN 1 AND 80),
      name text NOT NULL CHECK (char_length(name) BETWEEN 1 AND 200),
      had numeric CHECK (had > 0),
      said_at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (link_id, item)
    );
    CREATE TRIGGER guide_lacks_tell AFTER INSERT OR UPDATE OR DELETE ON guide_lacks
      FOR EACH ROW EXECUTE FUNCTION tell_guide_changed();
  `);
}
