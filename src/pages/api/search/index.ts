import type { APIRoute } from 'astro';
import { answering, jsonAnswer } from '../../../server/http/answers.ts';
import { listFindables } from '../../../server/services/findables.ts';

/** Everything that can be found by words: the page searches it itself, key by key. */
export const GET: APIRoute = ({ locals }) => answering(async () => jsonAnswer(await listFindables(locals.person!)));
