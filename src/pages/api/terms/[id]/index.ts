import { readTermPage } from '../../../../server/services/termPage.ts';
import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../../server/http/answers.ts';
import { keepTerm } from '../../../../server/services/terms.ts';

/** A term as it was last kept, with what is due. */
export const GET: APIRoute = ({ locals, params }) =>
  answering(async () => jsonAnswer(await readTermPage(locals.person!, params.id!)));

/** Keeps a term that its room sends, if nobody kept a newer one. */
export const PUT: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    const body = await readJsonObject(request, BYTES.whole);
    return jsonAnswer(await keepTerm(locals.person!, params.id!, body));
  });
