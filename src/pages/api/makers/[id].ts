import type { APIRoute } from 'astro';
import { answering, jsonAnswer, readJson } from '../../../server/http/answers.ts';
import { putMadeIntoSession } from '../../../server/services/makersPage.ts';

/** Puts what a maker makes into a session. */
export const POST: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    const { session, values } = (await readJson(request, 16 * 1024)) as { session?: unknown; values?: unknown };
    await putMadeIntoSession(locals.person!, { id: params.id!, sessionId: String(session ?? ''), written: values });
    return jsonAnswer({ session });
  });
