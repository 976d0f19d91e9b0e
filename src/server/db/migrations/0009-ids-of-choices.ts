import type { MigrationQueries } from './migrationQueries.ts';

/** Ways of running a maker's part have ids; answers and corrections about them were kept under their words. */
export async function up(queries: MigrationQueries): Promise<void> {
  await queries.sequelize.query(`
    UPDATE reply_parts SET shelf_key = replace(shelf_key, ' ', '-') WHERE shelf_key LIKE 'maker:% %';
    UPDATE programmes
       SET settings = jsonb_set(settings, '{makerPaces}', (
             SELECT jsonb_object_agg(replace(key, ' ', '-'), value) FROM jsonb_each(settings->'makerPaces')))
     WHERE settings->'makerPaces' <> '{}'::jsonb;
  `);
}
