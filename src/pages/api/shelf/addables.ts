import type { APIRoute } from 'astro';
import { answering, jsonAnswer } from '../../../server/http/answers.ts';
import { listAddables } from '../../../server/services/benchPage.ts';

/** What can be put into a session from the shelf. */
export const GET: APIRoute = ({ locals }) => answering(async () => jsonAnswer(await listAddables(locals.person!)));
