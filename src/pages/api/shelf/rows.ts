import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJson } from '../../../server/http/answers.ts';
import { importRows } from '../../../server/services/importRows.ts';

/** Takes in a part of a long file. */
export const POST: APIRoute = ({ locals, request }) =>
  answering(async () => jsonAnswer(await importRows(locals.person!, await readJson(request, BYTES.whole))));
