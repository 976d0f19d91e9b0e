import { defineMiddleware } from 'astro:middleware';
import { describeError } from './messages/errors.ts';
import { countingQueries } from './server/db/connection.ts';
import { comesFromOurPages } from './server/http/address.ts';
import { jsonAnswer, toEdgeError } from './server/http/answers.ts';
import { EdgeError } from './server/http/errors.ts';
import { secureHeaders } from './server/http/headers.ts';
import { newToken } from './server/http/secrets.ts';
import { SIGN_IN_COOKIE } from './server/http/signInCookie.ts';
import { personOf } from './server/services/signIn.ts';

const OPEN_PATHS = ['/sign-in', '/health', '/problem'];
/** What a secret address opens, and what the build made. */
const OPEN_FOLDERS = ['/g/', '/calendar/', '/_'];

/** Every request: who asks, from where, and what becomes of it when something goes wrong. */
export const onRequest = defineMiddleware(async (context, next) => {
  const { pathname } = context.url;
  context.locals.styleNonce = newToken();
  const { value: response, queries } = await countingQueries(async () => {
    try {
      const refusal = await admit(context);
      return refusal ?? (await next());
    } catch (thrown) {
      return answerProblem(context, toEdgeError(thrown));
    }
  });
  secureHeaders(response.headers, {
    isGuide: pathname.startsWith('/g/'),
    isSecure: context.url.protocol === 'https:',
    styleNonce: context.locals.styleNonce,
  });
  if (process.env.FOOTSTOOL_COUNT_QUERIES === '1') response.headers.set('x-queries', String(queries));
  return response;
});

type Context = Parameters<typeof onRequest>[0];

/** Lets a request through (nothing), or answers it in its place. */
async function admit(context: Context): Promise<Response | null> {
  const { pathname, search } = context.url;
  const { request } = context;
  context.locals.person = null;
  const isWrite = request.method !== 'GET' && request.method !== 'HEAD';
  if (isWrite && !comesFromOurPages(request)) throw new EdgeError('wrong-origin');
  if (OPEN_PATHS.includes(pathname) || OPEN_FOLDERS.some((folder) => pathname.startsWith(folder))) return null;
  const token = context.cookies.get(SIGN_IN_COOKIE)?.value;
  context.locals.person = token ? await personOf(token) : null;
  if (context.locals.person) return null;
  if (pathname.startsWith('/api/') || isWrite) throw new EdgeError('not-signed-in');
  return context.redirect(`/sign-in?next=${encodeURIComponent(pathname + search)}`, 303);
}

async function answerProblem(context: Context, error: EdgeError): Promise<Response> {
  const message = describeError(error.code, error.details);
  if (context.url.pathname.startsWith('/api/'))
    return jsonAnswer({ code: error.code, message, problems: error.details.problems }, error.status);
  context.locals.problem = { status: error.status, message };
  // A request of its own: the body of the first one may have been read already, and is not needed.
  const page = await context.rewrite(new Request(new URL('/problem', context.url)));
  return new Response(page.body, { status: error.status, headers: page.headers });
}
