import type { APIRoute } from 'astro';
import { EdgeError } from '../../../server/http/errors.ts';
import { printMaker } from '../../../server/services/makersPage.ts';

/** What a maker makes for the values in the address, as a PDF. */
export const GET: APIRoute = async ({ locals, params, url }) => {
  let values: unknown;
  try {
    values = JSON.parse(url.searchParams.get('values') ?? '{}');
  } catch (cause) {
    throw new EdgeError('wrong-form', { cause });
  }
  const pdf = await printMaker(locals.person!, params.id!, values);
  return new Response(new Uint8Array(pdf), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${params.id}.pdf"` },
  });
};
