import type { APIRoute } from 'astro';
import { answering } from '../../../../server/http/answers.ts';
import { EdgeError } from '../../../../server/http/errors.ts';
import { findSession } from '../../../../server/services/sessions.ts';

/** What others do to a session while this window is open, as server-sent events. */
export const GET: APIRoute = ({ locals, params }) =>
  answering(async () => {
    const { id } = await findSession(locals.person!, params.id!);
    if (!locals.sessionNews) throw new EdgeError('busy');
    return new Response(locals.sessionNews.listen(id, locals.person!.userId), {
      // Compression, here or in a proxy, would hold words back until there are more.
      headers: {
        'content-type': 'text/event-stream; charset=utf-8',
        'cache-control': 'no-store, no-transform',
        'x-accel-buffering': 'no',
      },
    });
  });
