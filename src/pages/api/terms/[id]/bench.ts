import type { APIRoute } from 'astro';
import { answering, jsonAnswer, readJson } from '../../../../server/http/answers.ts';
import { putPlannedOnBench } from '../../../../server/services/terms.ts';

/** Puts a planned session on the bench; gives where it is. */
export const POST: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    const { slot } = (await readJson(request, 1024)) as { slot?: unknown };
    const id = await putPlannedOnBench(locals.person!, { termId: params.id!, slotId: String(slot ?? '') });
    return jsonAnswer({ id, href: `/bench/${id}` });
  });
