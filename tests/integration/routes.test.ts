import assert from 'node:assert/strict';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { addProgramme } from '../../src/cli/seed.ts';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { DEMO } from '../../src/server/demo.ts';
import { isOpenTo, ROUTES, type Who } from '../../src/server/http/roles.ts';
import { signInByPost } from '../support/signIn.ts';
import { startServer, startDemoDatabase, type TestDatabase, type TestServer } from '../support/app.ts';

const PAGES = join(import.meta.dirname, '../../src/pages');
/** A request that goes on so long is without a bound; no measure of speed, which the bench takes. */
const MS_FOR_ANSWER = 60_000;

let records: TestDatabase;
let server: TestServer;
let folder: string;
/** What each kind of visitor sends along; the one of another programme owns that one. */
const cookies: Record<'stranger' | 'reader' | 'author' | 'owner' | 'other', string> = {
  stranger: '',
  reader: '',
  author: '',
  owner: '',
  other: '',
};
const known: Record<string, string[]> = {};
let secrets: string[] = [];

before(async () => {
  records = await startDemoDatabase();
  folder = mkdtempSync(join(tmpdir(), 'footstool-routes-'));
  process.env.DATABASE_URL = records.url;
  server = await startServer(records.url, folder);
  const other = { name: 'Wren', email: 'wren@millrace.example', password: 'over-the-weir', role: 'owner' as const };
  await addProgramme({ slug: 'millrace', name: 'Millrace' }, [other]);
  const [owner, author, reader] = DEMO.people;
  cookies.owner = await signInByPost(server.address, owner);
  cookies.author = await signInByPost(server.address, author);
  cookies.reader = await signInByPost(server.address, reader);
  cookies.other = await signInByPost(server.address, other);
  const ids = async (table: string) =>
    ((await database().query(`SELECT id FROM ${table} LIMIT 2`))[0] as { id: string }[]).map(({ id }) => id);
  Object.assign(known, {
    session: await ids('sessions'),
    home: await ids('homes'),
    term: await ids('terms'),
    link: await ids('guide_links'),
  });
  const [[link]] = (await database().query('SELECT id FROM guide_links LIMIT 1')) as unknown as [{ id: string }[]];
  const { guideToken } = await import('../../src/server/http/secrets.ts');
  process.env.FOOTSTOOL_SECRET = 'a-secret-for-tests-only-0123456789abcdef';
  known.token = [guideToken(link!.id)];
  const [all] = (await database().query('SELECT id FROM guide_links')) as unknown as [{ id: string }[]];
  secrets = all.map(({ id }) => guideToken(id));
});
after(async () => {
  await closeDatabase();
  await server.stop();
  await records.remove();
  rmSync(folder, { recursive: true, force: true });
});

/** Every route there is, from the files of the pages, so that a new one cannot be forgotten. */
function routes(): string[] {
  return readdirSync(PAGES, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(astro|ts)$/.test(file))
    .map((file) => `/${file.replace(/\.(astro|ts)$/, '').replace(/(^|\/)index$/, '')}`.replace(/(.)\/$/, '$1'))
    .sort();
}

/** True for the method that a page's form or an endpoint's function reads a body with; any other leaves it unread. */
function takes(route: string, method: string): boolean {
  const files = ['.ts', '/index.ts', '.astro', '/index.astro'].map((end) => join(PAGES, `${route}${end}`));
  const source = readFileSync(files.find(existsSync)!, 'utf8');
  return new RegExp(`export const (${method}|ALL)\\b|request.method === '${method}'`).test(source);
}

const ODD = ['hasOwnProperty', '__proto__', '00000000-0000-0000-0000-000000000000', 'x'.repeat(300), '%F0%9F%98%80'];

/** Addresses of a route: with what there is of a programme, and with what nobody has. */
function addressesOf(route: string): string[] {
  if (!route.includes('[')) return [route];
  const first = (name: string) => known[name]?.[0] ?? 'none';
  const fitting = route
    .replace('/g/[token]', `/g/${first('token')}`)
    .replace('[link]', first('link'))
    .replace('/homes/[id]', `/homes/${first('home')}`)
    .replace('[sound]', 'm')
    .replace('[home]', first('home'))
    .replace('/term/[id]', `/term/${first('term')}`)
    .replace('/terms/[id]', `/terms/${first('term')}`)
    .replace('/makers/[id]', '/makers/number-pots')
    .replace('[kind]/[key]', 'activity/carts-and-lids')
    .replace('/thing/[key]', '/thing/sock')
    .replace('[kind]', 'book')
    .replace('[token]', 'a'.repeat(43))
    .replace('[id]', first('session'));
  return [fitting, ...ODD.map((odd) => route.replace(/\[[^\]]+\]/g, odd))];
}

const QUERIES = [
  '',
  '?kind=hasOwnProperty&next=//x&for=__proto__&values=%7B%22a%22%3A1e999%7D&tick=constructor&done=toString&before=Infinity',
  '?before=1e30',
];
const JSON_TYPE = { 'content-type': 'application/json' };
const FORM_TYPE = { 'content-type': 'application/x-www-form-urlencoded' };
const BODIES: readonly { name: string; headers: Record<string, string>; body: string | undefined }[] = [
  { name: 'nothing', headers: {}, body: undefined },
  { name: 'null', headers: JSON_TYPE, body: 'null' },
  { name: 'an empty object', headers: JSON_TYPE, body: '{}' },
  { name: 'cut JSON', headers: JSON_TYPE, body: '{"session":' },
  {
    name: 'NUL and half a character',
    headers: JSON_TYPE,
    body: '{"session":{"title":"a\\u0000\\ud800"},"entry":{"key":"\\u0000"},"revision":1}',
  },
  {
    name: 'numbers beyond bounds',
    headers: JSON_TYPE,
    body: '{"revision":99999999999,"session":{"segments":[]},"term":{},"entry":{"key":"new"},"x":1e999}',
  },
  {
    name: 'a prototype',
    headers: JSON_TYPE,
    body: '{"__proto__":{"a":1},"session":{"__proto__":[]},"entry":{"__proto__":1}}',
  },
  { name: 'deep lists', headers: JSON_TYPE, body: '['.repeat(20_000) },
  {
    name: 'many empty parts',
    headers: JSON_TYPE,
    body: `{"revision":1,"session":{"segments":[${Array(9000).fill('{}').join()}]},"term":{"weeks":[${Array(9000).fill('{}').join()}]},"rows":[${Array(9000).fill('{}').join()}],"kind":"thing"}`,
  },
  {
    name: 'an odd form',
    headers: FORM_TYPE,
    body: 'homes=__proto__&revision=99999999999&key=x&seen=-1&do=hasOwnProperty&closed=0926-01-01&email=%00&title=%ED%A0%80',
  },
  { name: 'a large form', headers: FORM_TYPE, body: 'a=1&'.repeat(100_000) },
  { name: 'a number without an end', headers: FORM_TYPE, body: 'before=Infinity&part=x' },
  { name: 'text', headers: { 'content-type': 'text/plain' }, body: 'hello' },
];

const faults: string[] = [];
const faultless = () => assert.deepEqual(faults.splice(0).slice(0, 40), []);

/** What an answer says; of one that goes on for as long as somebody listens, its beginning. */
async function textOf(answer: Response): Promise<string> {
  if (!answer.headers.get('content-type')?.startsWith('text/event-stream')) return answer.text();
  const reader = answer.body!.getReader();
  const { value } = await reader.read();
  await reader.cancel();
  return new TextDecoder().decode(value);
}

async function ask(path: string, init: RequestInit & { who: keyof typeof cookies }, what: string): Promise<void> {
  const { who, ...rest } = init;
  const headers = {
    ...(rest.headers as Record<string, string>),
    origin: server.address,
    ...(cookies[who] && { cookie: cookies[who] }),
  };
  const began = performance.now();
  const answer = await fetch(server.address + path, { ...rest, headers, redirect: 'manual' });
  const text = await textOf(answer);
  const took = performance.now() - began;
  const about = `${what} ${path.slice(0, 120)} as ${who}: ${answer.status} in ${Math.round(took)} ms`;
  const expect = (isSo: boolean, otherwise: string) => void (isSo || faults.push(`${about}: ${otherwise}`));
  expect(answer.status < 500, `failed with ${text.slice(0, 120)}`);
  if (answer.status >= 400) {
    expect(text.length > 20, 'an empty answer');
    expect(answer.headers.get('x-content-type-options') === 'nosniff', 'without its headers');
  }
  expect(!/node_modules|Sequelize| {4}at .*:\d+:\d+|syntax error at/.test(text), 'shows how it is made');
  const isOpen = path.startsWith('/g/');
  const isForeign = who === 'stranger' || who === 'other';
  expect(isOpen || !isForeign || !/Blue door|Ilvo/.test(text), 'shows what is another programme’s');
  expect(isOpen || who === 'author' || !secrets.some((secret) => text.includes(secret)), 'shows a home’s link');
  expect(took < MS_FOR_ANSWER, 'without an end');
}

test('every route is for those whom the table of parts names, and for nobody else', async () => {
  assert.deepEqual(
    Object.keys(ROUTES).sort(),
    routes().filter((route) => !route.startsWith('/_')),
  );
  const ranks = ['stranger', 'reader', 'author', 'owner'] as const;
  const least = (who: Who) =>
    who === 'nobody' ? Infinity : isOpenTo(who) ? 0 : ranks.indexOf(who as (typeof ranks)[number]);
  for (const [route, { see, change }] of Object.entries(ROUTES)) {
    const [path] = addressesOf(route);
    for (const [method, who] of [['GET', see] as const, ['POST', change] as const, ['PUT', change] as const])
      for (const [rank, visitor] of ranks.entries()) {
        // The ones below the least that may, it itself, and nobody above.
        if ((method !== 'GET' && LEFT_ALONE.includes(route)) || (rank > 0 && rank > least(who))) continue;
        // What takes nothing from an owner takes nothing from anybody.
        if (who === 'nobody' && rank > 0 && visitor !== 'owner') continue;
        if (method === 'PUT' && !route.startsWith('/api/')) continue;
        const answer = await fetch(server.address + path!, {
          method,
          redirect: 'manual',
          headers: { origin: server.address, ...(cookies[visitor] && { cookie: cookies[visitor] }) },
        });
        const text = await textOf(answer);
        const mayHaveLinks = path!.startsWith('/g/') || rank >= ranks.indexOf('author');
        if (!mayHaveLinks && secrets.some((secret) => text.includes(secret)))
          faults.push(`${method} ${route} as ${visitor}: shows a home’s link`);
        const isLedToSignIn = answer.status === 303 && /^\/sign-in/.test(answer.headers.get('location') ?? '');
        const isRefused =
          visitor === 'stranger' ? isLedToSignIn || answer.status === 401 : [403, 405].includes(answer.status);
        // An endpoint that is allowed to somebody may still not have this method.
        const isOtherMethod = visitor !== 'stranger' && rank >= least(who) && answer.status === 404;
        if (isRefused !== rank < least(who) && !isOtherMethod)
          faults.push(`${method} ${route} as ${visitor}: ${answer.status}, though it is for ${who}`);
      }
  }
  faultless();
});

const WHO = ['stranger', 'reader', 'author', 'other'] as const;
/** Who is refused at the door, and who gets as far as anybody: enough where only the address or the body differs. */
const OUTSIDE_AND_INSIDE = ['stranger', 'author'] as const;
/** As many of the hostile bodies as every visitor sends. */
const BODIES_OF_ALL = 3;
/** What a route is sent that reads no body. */
const UNREAD = BODIES.filter(({ name }) => name === 'an empty object');
const LEFT_ALONE = ['/sign-out', '/account'];

/** `npm run soak` tries everything; the other tests a twentieth, another twelfth for the next route, so that nothing is never tried. */
const SHARE = process.env.FOOTSTOOL_SOAK ? 1 : 20;
const isTried = (route: number, index: number) => (route + index) % SHARE === 0;

test('every route answers odd addresses and queries with a page, a refusal in words, and nothing of others', async () => {
  assert.ok(routes().length > 50);
  for (const [number, route] of routes().entries())
    for (const [index, path] of addressesOf(route).entries()) {
      if (index > 0 && !isTried(number, index)) continue;
      for (const [at, query] of (index === 0 && isTried(number, 0) ? QUERIES : QUERIES.slice(0, 1)).entries())
        // The test before this one looked at the plain address as everybody else.
        await Promise.all(
          (index === 0 && at === 0 ? ([...OUTSIDE_AND_INSIDE, 'other'] as const) : OUTSIDE_AND_INSIDE).map((who) =>
            ask(path + query, { who, method: 'GET' }, 'GET'),
          ),
        );
    }
  faultless();
});

test('every route answers hostile bodies with a refusal in words, whoever sends them', async () => {
  for (const [number, route] of routes()
    .filter((path) => !LEFT_ALONE.includes(path))
    .entries()) {
    const [path] = addressesOf(route);
    for (const method of ['POST', 'PUT', 'DELETE'])
      for (const [index, { name, headers, body }] of (takes(route, method) ? BODIES : UNREAD).entries()) {
        if (takes(route, method) && !isTried(number, index)) continue;
        await Promise.all(
          (takes(route, method) && index < BODIES_OF_ALL ? WHO : OUTSIDE_AND_INSIDE).map((who) =>
            ask(path!, { who, method, headers, body: body ?? null }, `${method} with ${name}`),
          ),
        );
      }
  }
  faultless();
});
