import type { APIRoute } from 'astro';
import { answering, jsonAnswer } from '../../../server/http/answers.ts';
import { readHaveData } from '../../../server/services/haveData.ts';

/** What "what we have" works with. */
export const GET: APIRoute = ({ locals }) => answering(async () => jsonAnswer(await readHaveData(locals.person!)));
