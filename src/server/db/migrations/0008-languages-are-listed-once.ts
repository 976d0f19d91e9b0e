import type { MigrationQueries } from './migrationQueries.ts';

/** Which languages there are is said in one list of the application; the database holds the shape of their names. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    ALTER TABLE homes DROP CONSTRAINT homes_language_check;
    ALTER TABLE homes ADD CONSTRAINT homes_language_check CHECK (language ~ '^[a-z]{2,3}$');
    ALTER TABLE guide_copies ADD CONSTRAINT guide_copies_language_check CHECK (language ~ '^[a-z]{2,3}$');
  `);
}
