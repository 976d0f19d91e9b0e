import { RecalledGuides } from '../services/recalledGuides.ts';
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import compression from 'compression';
import sirv from 'sirv';
import { describeError } from '../../messages/errors.ts';
import { EdgeError } from '../http/errors.ts';
import { secureHeaders } from '../http/headers.ts';
import { hashToken } from '../http/secrets.ts';
import type { Beside } from '../services/beside.ts';
import type { SessionNews } from '../services/sessionNews.ts';
import { answerWith, type GuideStore } from './guideStore.ts';
import { trustedPlace } from '../http/place.ts';

/** What renders pages: the built application. */
export type PageHandler = (
  request: IncomingMessage,
  response: ServerResponse,
  next: () => void,
  locals: object,
) => Promise<void> | void;

export interface FrontParts {
  readonly pages: PageHandler;
  readonly guides: GuideStore;
  /** Absent where nobody tells windows what others did. */
  readonly sessionNews?: SessionNews;
  /** Long calculations beside requests. */
  readonly beside: Beside;
  /** The folder of what the build made for browsers. */
  readonly clientFolder: string;
  /** The address of the proxy before us, when there is one. */
  readonly proxy?: string | undefined;
}

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'];
const GUIDE = /^\/g\/([A-Za-z0-9_-]{43})$/;
/** The largest body that any endpoint takes; each has a smaller limit of its own. */
const LARGEST_BODY = 12 * 1024 * 1024;
const MS_FOR_REQUEST = 60_000;

/** The server before the pages: guides from the store, static files, compression, and requests that nothing could answer. */
export function createFront({ pages, guides, sessionNews, beside, clientFolder, proxy }: FrontParts): Server {
  const compress = compression({ threshold: 512 });
  const recalled = new RecalledGuides();
  const files = sirv(clientFolder, {
    etag: true,
    gzip: true,
    brotli: true,
    setHeaders: (response, path) => {
      response.setHeader('x-content-type-options', 'nosniff');
      response.setHeader(
        'cache-control',
        path.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'public, max-age=3600',
      );
    },
  });
  const render = (request: IncomingMessage, response: ServerResponse, problem?: EdgeError) => {
    const locals = { guides, recalled, sessionNews, beside, ...(problem && { problem: asProblem(problem) }) };
    compress(request as never, response as never, () => {
      void pages(request, response, () => refuse(request, response, new EdgeError('not-found')), locals);
    });
  };
  const refuse = (request: IncomingMessage, response: ServerResponse, error: EdgeError) => {
    if ((request.url ?? '').startsWith('/api/')) return refuseInJson(response, error);
    response.on('finish', () => request.resume());
    render(asGet(request, '/problem'), response, error);
  };
  const server = createServer((request, response) => {
    if (serveGuide(guides, request, response)) return;
    const problem = wrongRequest(request);
    if (problem) return refuse(request, response, problem);
    trustedPlace(request, proxy);
    if (request.method === 'GET' || request.method === 'HEAD')
      files(request, response, () => render(request, response));
    else render(request, response);
  });
  server.requestTimeout = MS_FOR_REQUEST;
  return server;
}

/** Answers a visit to a guide from the store; false when it is not there. */
function serveGuide(guides: GuideStore, request: IncomingMessage, response: ServerResponse): boolean {
  if (request.method !== 'GET' && request.method !== 'HEAD') return false;
  const token = GUIDE.exec(request.url ?? '')?.[1];
  const page = token && guides.find(hashToken(token));
  if (!page) return false;
  const { status, headers, body } = answerWith(page, {
    ifNoneMatch: request.headers['if-none-match'],
    acceptEncoding: request.headers['accept-encoding'] as string | undefined,
  });
  response.writeHead(status, headers);
  response.end(request.method === 'HEAD' ? undefined : body);
  return true;
}

/** What no page could answer: an odd method, an address that is no text, a body beyond every limit. */
function wrongRequest({ method = '', url = '', headers }: IncomingMessage): EdgeError | null {
  if (!METHODS.includes(method)) return new EdgeError('wrong-method');
  try {
    if (!url.startsWith('/') || decodeURIComponent(url.replaceAll('+', ' ')).includes('\0'))
      return new EdgeError('wrong-address');
  } catch {
    return new EdgeError('wrong-address');
  }
  if (Number(headers['content-length'] ?? 0) > LARGEST_BODY) return new EdgeError('too-large');
  return /^\/_image(\/|\?|$)/.test(url) ? new EdgeError('not-found') : null;
}

function asProblem(error: EdgeError): { status: number; message: string } {
  return { status: error.status, message: describeError(error.code, error.details) };
}

/** The same request as one that asks for another page and sends nothing. */
function asGet(request: IncomingMessage, url: string): IncomingMessage {
  return new Proxy(request, {
    get: (target, name) => {
      if (name === 'method') return 'GET';
      if (name === 'url') return url;
      const value: unknown = Reflect.get(target, name, target);
      return typeof value === 'function' ? (value as () => unknown).bind(target) : value;
    },
  });
}

function refuseInJson(response: ServerResponse, error: EdgeError): void {
  const headers = new Headers({ 'content-type': 'application/json; charset=utf-8' });
  secureHeaders(headers, { isGuide: false, isSecure: false, styleNonce: '' });
  response.writeHead(error.status, Object.fromEntries(headers));
  response.end(JSON.stringify({ code: error.code, message: describeError(error.code, error.details) }));
}
