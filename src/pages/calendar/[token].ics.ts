import type { APIRoute } from 'astro';
import { publicAddress } from '../../server/http/address.ts';
import { openFeed } from '../../server/services/calendar.ts';

/** The feed that a calendar program subscribes to by its secret address. */
export const GET: APIRoute = async ({ params, request }) => {
  const file = await openFeed(params.token!, publicAddress(request));
  return new Response(file, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private, max-age=900' },
  });
};
