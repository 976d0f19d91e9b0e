import type { APIRoute } from 'astro';
import { answering, jsonAnswer } from '../../../../../server/http/answers.ts';
import { partFromShelf } from '../../../../../server/services/benchPage.ts';

/** An entry of the shelf as it would stand in a session now. */
export const GET: APIRoute = ({ locals, params }) =>
  answering(async () => jsonAnswer(await partFromShelf(locals.person!, params.kind!, params.key!)));
