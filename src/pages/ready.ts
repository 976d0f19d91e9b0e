import type { APIRoute } from 'astro';
import { jsonAnswer } from '../server/http/answers.ts';
import { isFromHere } from '../server/http/place.ts';
import { readOperations } from '../server/services/operations.ts';

/** Whether this process can serve: 200 or 503. How everything around it is, is told on this machine only. */
export const GET: APIRoute = async ({ request, clientAddress }) => {
  const { isReady, ...facts } = await readOperations();
  const told = isFromHere(request, clientAddress) ? facts : {};
  return jsonAnswer({ ready: isReady, ...told }, isReady ? 200 : 503);
};
