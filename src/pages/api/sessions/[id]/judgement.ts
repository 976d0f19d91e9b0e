import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../../server/http/answers.ts';
import { judgeUnkept } from '../../../../server/services/judgement.ts';

/** What the checks say of a session that is being written, and how homes would do it. */
export const POST: APIRoute = ({ locals, params, request }) =>
  answering(async () =>
    jsonAnswer(await judgeUnkept(locals.person!, params.id!, await readJsonObject(request, BYTES.whole))),
  );
