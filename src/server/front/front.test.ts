import assert from 'node:assert/strict';
import { randomBytes } from 'node:crypto';
import { request, type IncomingMessage, type Server } from 'node:http';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { gunzipSync } from 'node:zlib';
import { hashToken } from '../http/secrets.ts';
import { ownPath } from '../http/next.ts';
import { HERE } from '../services/beside.ts';
import { createFront } from './front.ts';
import { answerWith, MemoryGuideStore } from './guideStore.ts';
import { trustedPlace } from '../http/place.ts';

const TOKEN = 'a'.repeat(43);
const KEY = hashToken(TOKEN);
const PAGE = { html: `<p>${'Guide. '.repeat(200)}</p>`, headers: { 'content-type': 'text/html' } };
const guides = new MemoryGuideStore();
let server: Server;
let folder: string;
let rendered: string[] = [];

before(async () => {
  folder = mkdtempSync(join(tmpdir(), 'footstool-front-'));
  writeFileSync(join(folder, 'robots.txt'), 'User-agent: *\nDisallow: /\n');
  server = createFront({
    guides,
    beside: HERE,
    clientFolder: folder,
    pages: (asked, response, _next, locals) => {
      rendered.push(`${asked.method} ${asked.url} ${JSON.stringify((locals as { problem?: object }).problem ?? {})}`);
      response.setHeader('content-type', 'text/html');
      response.end('page '.repeat(400));
    },
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
});
after(() => {
  server.close();
  rmSync(folder, { recursive: true, force: true });
});

function ask(
  path: string,
  { method = 'GET', headers = {} }: { method?: string; headers?: Record<string, string> } = {},
) {
  rendered = [];
  const { port } = server.address() as AddressInfo;
  return new Promise<{ status: number; headers: IncomingMessage['headers']; body: Buffer }>((answered, failed) => {
    const asking = request({ port, path, method, headers, agent: false }, (answer) => {
      const chunks: Buffer[] = [];
      answer.on('data', (chunk: Buffer) => chunks.push(chunk));
      answer.on('end', () =>
        answered({ status: answer.statusCode!, headers: answer.headers, body: Buffer.concat(chunks) }),
      );
    });
    asking.on('error', failed);
    asking.end();
  });
}

test('a stored guide is served compressed with a strong validator, and not anew when it is unchanged', async () => {
  guides.resume();
  guides.keep(KEY, guides.begin(KEY), PAGE);
  const plain = await ask(`/g/${TOKEN}`);
  assert.equal(plain.body.toString(), PAGE.html);
  const small = await ask(`/g/${TOKEN}`, { headers: { 'accept-encoding': 'gzip' } });
  assert.equal(gunzipSync(small.body).toString(), PAGE.html);
  assert.ok(small.body.length < plain.body.length / 5);
  const etag = small.headers.etag!;
  assert.match(etag, /^"[^"]+"$/);
  const again = await ask(`/g/${TOKEN}`, { headers: { 'if-none-match': etag } });
  assert.deepEqual([again.status, again.body.length], [304, 0]);
  assert.equal((await ask(`/g/${TOKEN}`, { method: 'HEAD' })).body.length, 0);
  assert.deepEqual(rendered, [], 'answered before the pages');
});

test('a guide that changed while it was rendered is not stored, one that is forgotten is rendered anew', async () => {
  const ticket = guides.begin(KEY);
  guides.forget(KEY);
  guides.keep(KEY, ticket, PAGE);
  assert.equal(guides.find(KEY), null);
  const late = guides.begin(KEY);
  const newer = guides.begin(KEY);
  guides.keep(KEY, late, { ...PAGE, html: 'older' });
  assert.equal(guides.find(KEY), null);
  guides.keep(KEY, newer, PAGE);
  assert.ok(guides.find(KEY));
  guides.pause();
  assert.equal(guides.find(KEY), null);
  guides.keep(KEY, guides.begin(KEY), PAGE);
  guides.resume();
  assert.equal(guides.find(KEY), null, 'nothing that was rendered while nobody listened is served');
  guides.pause();
  const begunUnheard = guides.begin(KEY);
  guides.resume();
  guides.keep(KEY, begunUnheard, PAGE);
  assert.equal(guides.find(KEY), null, 'nor what was begun then and ended later');
  assert.equal((await ask(`/g/${TOKEN}`)).status, 200);
  assert.equal(rendered.length, 1);
});

test('what a browser cannot unpack is sent as it is', () => {
  guides.keep(KEY, guides.begin(KEY), PAGE);
  const page = guides.find(KEY)!;
  assert.equal(answerWith(page, { acceptEncoding: 'br, gzip;q=0' }).body!.toString(), PAGE.html);
  assert.equal(answerWith(page, { acceptEncoding: 'br, gzip' }).headers['content-encoding'], 'gzip');
});

test('odd methods, addresses and bodies are refused in words before any page; the picture service is off', async () => {
  for (const [path, method, status] of [
    ['/sessions', 'TRACE', 405],
    ['/sessions', 'PATCH', 405],
    ['/sessions?x=%00', 'GET', 400],
    ['/%E0%A4%A', 'GET', 400],
    ['/_image?href=/x.png', 'GET', 404],
  ] as const) {
    await ask(path, { method });
    assert.match(rendered[0]!, new RegExp(`^GET /problem .*"status":${status},"message":"\\w`), `${method} ${path}`);
  }
  await ask('/sessions', { method: 'POST', headers: { 'content-length': '99999999' } }).catch(() => undefined);
  assert.match(rendered[0]!, /"status":413/);
  const { status, headers, body } = await ask('/api/x', { method: 'PATCH' });
  assert.deepEqual([status, headers['x-content-type-options']], [405, 'nosniff']);
  assert.match((JSON.parse(body.toString()) as { message: string }).message, /does not take this kind of request/);
});

test('text is compressed on its way, and robots.txt is text at its address', async () => {
  const { headers } = await ask('/sessions', { headers: { 'accept-encoding': 'gzip' } });
  assert.equal(headers['content-encoding'], 'gzip');
  const robots = await ask('/robots.txt');
  assert.match(robots.headers['content-type']!, /^text\/plain/);
  assert.match(robots.body.toString(), /Disallow: \//);
});

test('where a request comes from is the connection, or what the named proxy says; never what anybody writes', () => {
  const place = (remoteAddress: string, said: string | undefined, proxy?: string) => {
    const asked = { socket: { remoteAddress }, headers: { ...(said && { 'x-forwarded-for': said }) } };
    trustedPlace(asked as unknown as IncomingMessage, proxy);
    return (asked.headers as Record<string, string>)['x-forwarded-for'];
  };
  assert.equal(place('::ffff:192.0.2.5', '10.0.0.1'), '192.0.2.5');
  assert.equal(place('192.0.2.5', '10.0.0.1', '127.0.0.1'), '192.0.2.5');
  assert.equal(place('127.0.0.1', 'forged, 198.51.100.4', '127.0.0.1'), '198.51.100.4');
  assert.equal(place('127.0.0.1', undefined, '127.0.0.1'), '127.0.0.1');
});

test('after signing in one is led to a path of ours and nowhere else', () => {
  assert.equal(ownPath('/sessions/1?x=2'), '/sessions/1?x=2');
  for (const odd of [
    '//evil.example',
    '/\t/evil.example',
    '/\\evil.example',
    'https://evil.example',
    '/\n/evil.example',
    '',
    null,
    '/%2F%2Fevil',
  ])
    assert.ok(['/', '/%2F%2Fevil'].includes(ownPath(odd)), String(odd));
});

test('addresses that are no guide take no memory, nor do more guides than it may hold', () => {
  const store = new MemoryGuideStore({ mostBytes: 2_000_000 });
  store.resume();
  for (let visit = 0; visit < 20_000; visit++) {
    const key = hashToken(String(visit));
    store.giveUp(key, store.begin(key));
  }
  assert.deepEqual(store.counts, { kept: 0, rendering: 0 });
  for (let visit = 0; visit < 20_000; visit++) store.begin(String(visit));
  assert.equal(store.counts.rendering, 2000);
  const large = { ...PAGE, html: randomBytes(30_000).toString('base64') };
  for (let guide = 0; guide < 40; guide++) store.keep(String(guide), store.begin(String(guide)), large);
  assert.ok(store.counts.kept < 40 && store.counts.kept > 10, String(store.counts.kept));
});
