import type { APIRoute } from 'astro';
import { answering, BYTES, jsonAnswer, readBytes } from '../../../server/http/answers.ts';
import { audioAnswer } from '../../../server/http/audioAnswer.ts';
import { EdgeError } from '../../../server/http/errors.ts';
import { forgetRecording, hearSound, keepRecording } from '../../../server/services/soundRecordings.ts';

/** The programme's own recording of a sound. */
export const GET: APIRoute = ({ locals, params, request }) =>
  answering(async () => audioAnswer(await hearSound(locals.person!, params.sound!), request));

/** Keeps a recording of a sound, a WAV file, in place of the one there was. */
export const PUT: APIRoute = ({ locals, params, request }) =>
  answering(async () => {
    if (!/^audio\/(x-)?wav\b/.test(request.headers.get('content-type') ?? '')) throw new EdgeError('wrong-kind');
    const file = await readBytes(request, BYTES.whole);
    return jsonAnswer({
      milliseconds: await keepRecording(locals.person!, { sound: params.sound!, file }, locals.beside),
    });
  });

/** Takes a recording out. */
export const DELETE: APIRoute = ({ locals, params }) =>
  answering(async () => {
    await forgetRecording(locals.person!, params.sound!);
    return jsonAnswer({});
  });
