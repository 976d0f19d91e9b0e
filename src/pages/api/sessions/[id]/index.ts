import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../../server/http/answers.ts';
import { arrivalOf, findSession, keepSession } from '../../../../server/services/sessions.ts';

/** A session as it was last kept; only its revision to whoever has that already. Or the revision that an edit of a name made. */
export const GET: APIRoute = ({ locals, params, url }) =>
  answering(async () => {
    const edit = url.searchParams.get('edit');
    if (edit !== null) return jsonAnswer({ arrivedAs: await arrivalOf(locals.person!, params.id!, edit) });
    const kept = await findSession(locals.person!, params.id!);
    const isKnown = String(kept.revision) === url.searchParams.get('since');
    return jsonAnswer(isKnown ? { revision: kept.revision } : kept);
  });

/** Keeps a session that the bench sends, if nobody kept a newer one. */
export const PUT: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    const body = await readJsonObject(request, BYTES.whole);
    return jsonAnswer(await keepSession(locals.person!, params.id!, body));
  });
