import type { APIRoute } from 'astro';
import { exportHomesCsv } from '../../server/services/familyTable.ts';

/** The programme's homes as a table, which `/homes/table` reads as it was. */
export const GET: APIRoute = async ({ locals }) =>
  new Response(await exportHomesCsv(locals.person!), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="homes.csv"',
    },
  });
