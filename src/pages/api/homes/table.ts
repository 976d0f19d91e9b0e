import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJsonObject } from '../../../server/http/answers.ts';
import { bringInFamilies } from '../../../server/services/familyTable.ts';

/** Takes homes of a table in: new ones are added, those of the same name are brought up to date. All of them or none. */
export const POST: APIRoute = ({ locals, request }) =>
  answering(async () => jsonAnswer(await bringInFamilies(locals.person!, await readJsonObject(request, BYTES.whole))));
