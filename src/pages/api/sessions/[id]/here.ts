import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../../server/http/answers.ts';
import { tellWhereabouts } from '../../../../server/services/whereabouts.ts';

/** Tells whoever else has the session open where this window is in it. */
export const POST: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    await tellWhereabouts(locals.person!, params.id!, await readJsonObject(request, BYTES.small));
    return jsonAnswer({ told: true });
  });
