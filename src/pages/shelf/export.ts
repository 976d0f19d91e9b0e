import type { APIRoute } from 'astro';
import { exportFile } from '../../server/services/exportShelf.ts';

/** The programme's shelf as a file of our open format. */
export const GET: APIRoute = async ({ locals }) => {
  const file = await exportFile(locals.person!, { homes: false });
  return new Response(JSON.stringify(file, null, 2), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="footstool-shelf.json"',
    },
  });
};
