import type { APIRoute } from 'astro';
import { readPrinted } from '../../server/services/printing.ts';

/** What came out of a job, as a PDF. */
export const GET: APIRoute = async ({ locals, params }) =>
  new Response(new Uint8Array(await readPrinted(locals.person!, params.id!)), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="tray.pdf"' },
  });
