import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../../server/http/answers.ts';
import { putPlannedOnBench } from '../../../../server/services/terms.ts';

/** Puts a planned session on the bench; gives where it is. */
export const POST: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    const { slot } = await readJsonObject(request, BYTES.small);
    const id = await putPlannedOnBench(locals.person!, {
      termId: params.id!,
      slotId: typeof slot === 'string' ? slot : '',
    });
    return jsonAnswer({ id, href: `/sessions/${id}` });
  });
