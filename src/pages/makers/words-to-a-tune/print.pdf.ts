import type { APIRoute } from 'astro';
import { readSongQuestion } from '../../../contracts/song.ts';
import { printSong } from '../../../server/services/songs.ts';

/** Words under the notes of a tune, as a PDF. */
export const GET: APIRoute = async ({ locals, url }) => {
  const pdf = await printSong(locals.person!, readSongQuestion(url.searchParams));
  return new Response(new Uint8Array(pdf), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="words-to-a-tune.pdf"' },
  });
};
