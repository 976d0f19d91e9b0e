import type { GuideLanguage } from './core/languages.ts';
import { defineMiddleware } from 'astro:middleware';
import { describeError } from './messages/errors.ts';
import { countingQueries } from './server/db/connection.ts';
import { comesFromOurPages } from './server/http/address.ts';
import { askedLanguage } from './server/http/askedLanguage.ts';
import { jsonAnswer, toEdgeError } from './server/http/answers.ts';
import { EdgeError } from './server/http/errors.ts';
import { guideWords } from './messages/guideWords.ts';
import { isOpenTo, requirePart, whoMay } from './server/http/roles.ts';
import { secureHeaders } from './server/http/headers.ts';
import { hashToken, newToken } from './server/http/secrets.ts';
import { SIGN_IN_COOKIE } from './server/http/signInCookie.ts';
import { answerWith, type GuideStore, type RenderTicket } from './server/front/guideStore.ts';
import { isEncrypted } from './server/http/place.ts';
import { personOf } from './server/services/signIn.ts';

/** What the build made is for anybody, and so is the answer that something of it is gone. */
const BUILT = '/_astro/';

/** Every request: who asks, from where, and what becomes of it when something goes wrong. */
export const onRequest = defineMiddleware(async (context, next) => {
  context.locals.styleNonce = newToken();
  const rendering = beginRendering(context);
  const { value: response, queries } = await countingQueries(async () => {
    try {
      const refusal = await admit(context);
      return refusal ?? (await next());
    } catch (thrown) {
      return answerProblem(context, toEdgeError(thrown));
    }
  });
  return finish(context, rendering, response, queries);
});

/** Headers for every answer; a guide that was rendered is kept for the next visit and served from what is kept. */
async function finish(context: Context, rendering: Rendering | null, response: Response, queries: number) {
  const { pathname } = context.url;
  secureHeaders(response.headers, {
    isGuide: isForHome(context),
    isSecure: isEncrypted(context.request),
    mayRecord: pathname === '/programme/sounds',
    styleNonce: context.locals.styleNonce,
  });
  if (process.env.FOOTSTOOL_COUNT_QUERIES === '1') response.headers.set('x-queries', String(queries));
  if (!rendering) return response;
  const { guides, key, ticket } = rendering;
  if (!ticket) guides.forget(key);
  else if (response.status !== 200) guides.giveUp(key, ticket);
  if (!ticket || response.status !== 200) return response;
  const page = guides.keep(key, ticket, { html: await response.text(), headers: Object.fromEntries(response.headers) });
  const { headers: asked } = context.request;
  const { status, headers, body } = answerWith(page, {
    ifNoneMatch: asked.get('if-none-match') ?? undefined,
    acceptEncoding: asked.get('accept-encoding') ?? undefined,
  });
  return new Response(body && new Uint8Array(body), { status, headers });
}

type Context = Parameters<typeof onRequest>[0];

interface Rendering {
  readonly guides: GuideStore;
  readonly key: string;
  /** None where something was sent instead of asked for. */
  readonly ticket: RenderTicket | null;
}

const GUIDE = /^\/g\/([A-Za-z0-9_-]{43})(\/|$)/;

/** A visit to a guide says that it is being rendered; anything a home sends makes what is kept of its guide worthless. */
function beginRendering({ url, request, locals }: Context): Rendering | null {
  const [, token, rest] = GUIDE.exec(url.pathname) ?? [];
  const { guides } = locals;
  if (!guides || token === undefined) return null;
  const key = hashToken(token);
  if (request.method !== 'GET') return { guides, key, ticket: null };
  return rest === '' ? { guides, key, ticket: guides.begin(key) } : null;
}

/** Lets a request through (nothing), or answers it in its place. */
async function admit(context: Context): Promise<Response | null> {
  const { pathname, search } = context.url;
  const { request } = context;
  context.locals.person = null;
  const isWrite = request.method !== 'GET' && request.method !== 'HEAD';
  if (isWrite && !comesFromOurPages(request)) throw new EdgeError('wrong-origin');
  const who = whoMay(context.routePattern, isWrite);
  if (isOpenTo(who) || pathname.startsWith(BUILT)) return null;
  const token = context.cookies.get(SIGN_IN_COOKIE)?.value;
  context.locals.person = token ? await personOf(token) : null;
  if (context.locals.person) {
    requirePart(context.locals.person.role, who);
    return null;
  }
  if (pathname.startsWith('/api/') || isWrite) throw new EdgeError('not-signed-in');
  return context.redirect(`/sign-in?next=${encodeURIComponent(pathname + search)}`, 303);
}

function isForHome({ url }: Context): boolean {
  return /^\/(g|forget)\//.test(url.pathname);
}

/** The same for a home, in the language of its guide as far as that is known, otherwise in one its browser asks for. */
function problemForHome(
  { url, request, locals }: Context,
  error: EdgeError,
): { message: string; language: GuideLanguage } {
  const token = url.pathname.split('/')[2] ?? '';
  const language = locals.recalled?.recall(token)?.language ?? askedLanguage(request.headers);
  const words = guideWords(language);
  const isAway = error.status === 503 || error.code === 'internal';
  if (error.code === 'not-found') return { language, message: words.say('goneText') };
  const isAsked = request.method === 'GET' || request.method === 'HEAD';
  return { language, message: isAsked && isAway ? words.say('away') : words.say('notKept') };
}

async function answerProblem(context: Context, error: EdgeError): Promise<Response> {
  const message = describeError(error.code, error.details, true);
  if (context.url.pathname.startsWith('/api/'))
    return jsonAnswer({ code: error.code, message, problems: error.details.problems }, error.status);
  context.locals.problem = isForHome(context)
    ? { status: error.status, ...problemForHome(context, error) }
    : { status: error.status, message };
  // A request of its own: the body of the first one may have been read already, and is not needed.
  const page = await context.rewrite(new Request(new URL('/problem', context.url)));
  return new Response(page.body, { status: error.status, headers: page.headers });
}
