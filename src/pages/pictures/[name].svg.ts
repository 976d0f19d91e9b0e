import type { APIRoute } from 'astro';
import { pictureSvg } from '../../server/pictures/pictures.ts';

const A_YEAR = 31_536_000;

/** A small picture of a word, the same for everybody. */
export const GET: APIRoute = ({ params }) => {
  const svg = pictureSvg(params.name ?? '');
  if (svg === undefined) return new Response('There is no picture of that name.', { status: 404 });
  return new Response(svg, {
    headers: { 'content-type': 'image/svg+xml', 'cache-control': `public, max-age=${A_YEAR}, immutable` },
  });
};
