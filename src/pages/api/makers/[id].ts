import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../server/http/answers.ts';
import { putMadeIntoSession } from '../../../server/services/makersPage.ts';

const asText = (value: unknown) => (typeof value === 'string' ? value : '');

/** Puts what a maker makes into a session. */
export const POST: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    const { session, values } = await readJsonObject(request, BYTES.small);
    await putMadeIntoSession(locals.person!, { id: params.id!, sessionId: asText(session), written: values });
    return jsonAnswer({ session });
  });
