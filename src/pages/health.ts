import type { APIRoute } from 'astro';

/** Says that the server answers; asks nothing of the database. */
export const GET: APIRoute = () => new Response('ok', { headers: { 'content-type': 'text/plain' } });
