import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readJson } from '../../../server/http/answers.ts';
import { readJob, startPrinting } from '../../../server/services/printing.ts';

/** How far a job has come. */
export const GET: APIRoute = ({ locals, params }) =>
  answering(async () => jsonAnswer(await readJob(locals.person!, params.id!)));

/** Prints the tray of a session; gives the job. */
export const POST: APIRoute = ({ locals, params, request }) =>
  answering(async () =>
    jsonAnswer({ job: await startPrinting(locals.person!, params.id!, await readJson(request, BYTES.small)) }),
  );
