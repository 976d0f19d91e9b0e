import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../server/http/answers.ts';
import { keepHome } from '../../../server/services/homes.ts';

/** Keeps what a form says of a home; `new` in the place of the id adds one. */
export const PUT: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    const id = await keepHome(locals.person!, params.id!, await readJsonObject(request, BYTES.entry));
    return jsonAnswer({ id, href: `/homes?kept=${id}` });
  });
