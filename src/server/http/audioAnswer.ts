import rangeParser from 'range-parser';
import type { Recording } from '../db/repositories/soundRecordings.ts';

/** A recording as a browser plays it: whole, or the part it asks for, as some players insist on. */
export function audioAnswer({ audio, hash }: Recording, request: Request): Response {
  const headers = {
    'content-type': 'audio/wav',
    'accept-ranges': 'bytes',
    'cache-control': 'private, no-cache',
    etag: `"${hash}"`,
  };
  if (request.headers.get('if-none-match') === headers.etag) return new Response(null, { status: 304, headers });
  const asked = request.headers.get('range');
  const ranges = asked === null ? undefined : rangeParser(audio.length, asked);
  if (ranges === -1)
    return new Response(null, { status: 416, headers: { ...headers, 'content-range': `bytes */${audio.length}` } });
  const range = Array.isArray(ranges) && ranges.type === 'bytes' && ranges.length === 1 ? ranges[0] : undefined;
  if (!range) return new Response(new Uint8Array(audio), { headers });
  const { start, end } = range;
  return new Response(new Uint8Array(audio.subarray(start, end + 1)), {
    status: 206,
    headers: { ...headers, 'content-range': `bytes ${start}-${end}/${audio.length}` },
  });
}
