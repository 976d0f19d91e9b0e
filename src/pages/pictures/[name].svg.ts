import { createHash } from 'node:crypto';
import type { APIRoute } from 'astro';
import { pictureSvg } from '../../server/pictures/pictures.ts';

/** Another version may draw it anew, at the same address. */
const AN_HOUR = 3600;

/** A small picture of a word, the same for everybody. */
export const GET: APIRoute = ({ params, request }) => {
  const svg = pictureSvg(params.name ?? '');
  if (svg === undefined) return new Response('There is no picture of that name.', { status: 404 });
  const etag = `"${createHash('sha256').update(svg).digest('base64url').slice(0, 22)}"`;
  if (request.headers.get('if-none-match')?.includes(etag))
    return new Response(null, { status: 304, headers: { etag } });
  return new Response(svg, {
    headers: { 'content-type': 'image/svg+xml', 'cache-control': `public, max-age=${AN_HOUR}`, etag },
  });
};
