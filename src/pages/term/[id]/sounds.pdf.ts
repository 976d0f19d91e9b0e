import type { APIRoute } from 'astro';
import { printWeekSounds } from '../../../server/services/termSounds.ts';

/** The sound pages of a week of a term, as a PDF. */
export const GET: APIRoute = async ({ locals, params, url }) => {
  const pdf = await printWeekSounds(locals.person!, params.id!, url.searchParams.get('week'));
  return new Response(new Uint8Array(pdf), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="sounds.pdf"' },
  });
};
