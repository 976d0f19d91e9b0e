import type { APIRoute } from 'astro';
import { audioAnswer } from '../../../../server/http/audioAnswer.ts';
import { hearByLink } from '../../../../server/services/soundRecordings.ts';

/** A sound in the programme's own voice, for a home that has its link. */
export const GET: APIRoute = async ({ params, request }) =>
  audioAnswer(await hearByLink(params.token!, params.sound!), request);
