import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import pg from 'pg';
import { countingQueries, database } from '../../src/server/db/connection.ts';
import { onlyTo } from '../../src/contracts/audience.ts';
import { judgeSession } from '../../src/core/checks/index.ts';
import { readHomes } from '../../src/server/db/repositories/homes.ts';
import { findUnwrittenChunks } from '../../src/server/db/repositories/sendingChunks.ts';
import { readBench } from '../../src/server/services/benchPage.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { judgeUnkept, readAgainst } from '../../src/server/services/judgement.ts';
import { readInventory } from '../../src/server/services/inventory.ts';
import { listPost, readPost } from '../../src/server/services/post.ts';
import { audienceAsTicked, readSendPage } from '../../src/server/services/sendPage.ts';
import { recoverChunks, writeQueuedChunk } from '../../src/server/services/sendingChunks.ts';
import { sendSession, undoSending } from '../../src/server/services/sending.ts';
import { readToday } from '../../src/server/services/today.ts';
import { haveHomes } from '../support/manyHomes.ts';
import { findSession } from '../../src/server/services/sessions.ts';
import { sayingFor } from './saying.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => (at = await startProgrammes()));
after(() => at.remove());
const { sessionNamed, settleAll, refuses, rows } = helpersFor(() => at);
const { sessionSaying } = sayingFor(() => at);

/** Ten thousand homes are tried in `npm run soak`. */
const SIZES = process.env.FOOTSTOOL_SOAK ? [100, 1000, 10_000] : [100, 1000];
/** Of a row that is only counted no more is held while a page is made. */
const MOST_BYTES_A_ROW = 1000;
const address = 'https://homes.example';

interface Costs<Value> {
  readonly value: Value;
  /** Rows that came from the database. */
  readonly rows: number;
  /** The most bytes that were held at the end of a query of many rows, or of the work, above what was held before. */
  readonly held: number;
}

setFlagsFromString('--expose-gc');
const collectGarbage = runInNewContext('gc') as () => void;
const bytesInUse = () => {
  collectGarbage();
  return process.memoryUsage().heapUsed;
};

/** What work costs in rows and memory. */
async function costing<Value>(work: () => Promise<Value>): Promise<Costs<Value>> {
  type Query = Record<'handleDataRow' | 'handleReadyForQuery', (this: unknown, ...words: unknown[]) => void>;
  const reader = (pg as unknown as { Query: { prototype: Query } }).Query.prototype;
  const { handleDataRow, handleReadyForQuery } = reader;
  // A connection holds what it read last.
  await Promise.all(Array.from({ length: 20 }, () => database().query('SELECT pg_sleep(0.01)')));
  const before = bytesInUse();
  let [rows, looked, most] = [0, 0, before];
  const look = () => {
    looked = rows;
    most = Math.max(most, bytesInUse());
  };
  reader.handleDataRow = function (...words) {
    rows += 1;
    handleDataRow.apply(this, words);
  };
  reader.handleReadyForQuery = function (...words) {
    if (rows - looked >= 50) look();
    handleReadyForQuery.apply(this, words);
  };
  try {
    const value = await work();
    look();
    return { value, rows, held: most - before };
  } finally {
    Object.assign(reader, { handleDataRow, handleReadyForQuery });
  }
}

const writeAll = async () => {
  for (const { sendingId, position } of await findUnwrittenChunks(1000))
    await writeQueuedChunk(`${sendingId}/${position}`);
};

test('what a page asks for and gives does not grow with homes, but for one row each where they are counted', async () => {
  const kept = await sessionNamed('A parcel for Nim');
  await settleAll(kept.id);
  const pages: Record<string, { read: () => Promise<unknown>; counts: number }> = {
    today: { read: () => readToday(at.owner), counts: 0 },
    homes: { read: () => listHomes(at.owner), counts: 0 },
    have: { read: () => readInventory(at.owner), counts: 0 },
    session: { read: () => readBench(at.owner, kept.id), counts: 1 },
    // Whether each home is ticked is a second row.
    send: { read: () => readSendPage(at.owner, kept.id), counts: 2 },
    sent: { read: () => readPost(at.owner, kept.id), counts: 0 },
    'all that was sent': { read: () => listPost(at.owner.programmeId), counts: 0 },
  };
  const found: Record<string, { queries: number; rows: number; held: number; bytes: number }[]> = {};
  for (const size of SIZES) {
    await haveHomes(process.env.DATABASE_URL!, size);
    const { revision } = await sessionNamed('A parcel for Nim');
    await sendSession(at.owner, { sessionId: kept.id, audience: { ...onlyTo([]), to: 'all' }, revision, address });
    await writeAll();
    for (const [page, { read }] of Object.entries(pages)) {
      await read();
      const { value: counted, ...costs } = await costing(() => countingQueries(read));
      (found[page] ??= []).push({
        queries: counted.queries,
        ...costs,
        bytes: JSON.stringify(counted.value, (_key, value: unknown) => (value instanceof Set ? [] : value)).length,
      });
    }
  }
  for (const [page, [few, ...more]] of Object.entries(found))
    for (const [index, many] of more.entries()) {
      // Homes that were sent to again have one more edition and letter each.
      const perSending = page === 'sent' ? 200 : 0;
      const grown = SIZES[index + 1]! - SIZES[0]!;
      assert.equal(many.queries, few!.queries, `queries of ${page}`);
      assert.ok(
        many.rows - few!.rows <= pages[page]!.counts * grown + perSending * (index + 1) + 10,
        `${page}: ${few!.rows}, then ${many.rows} rows`,
      );
      assert.ok(
        many.held - few!.held < pages[page]!.counts * grown * MOST_BYTES_A_ROW + 1_000_000,
        `${page}: ${few!.held}, then ${many.held} bytes in use`,
      );
      assert.ok(many.bytes < few!.bytes * 1.5 + 2000, `${page}: ${few!.bytes}, then ${many.bytes} bytes`);
    }
});

test('what the server judges for many homes is what a page would, and is nobody else’s', async () => {
  const kept = await sessionNamed('The cart with no wheels');
  const bench = await readBench(at.owner, kept.id);
  assert.ok(bench.isJudgedElsewhere);
  assert.deepEqual(bench.homes, []);
  assert.equal(bench.judgement.total, SIZES.at(-1));
  assert.equal(bench.judgement.homes.length, 60);
  const whole = await readAgainst(at.owner, { id: kept.id, session: kept.session, wholeHomes: true });
  assert.deepEqual(bench.judgement, judgeSession(kept.session, whole));
  assert.deepEqual(await judgeUnkept(at.owner, kept.id, { session: kept.session }), bench.judgement);
  await refuses(judgeUnkept(at.reader, kept.id, { session: kept.session }), 'not-allowed');
  await refuses(judgeUnkept(at.stranger, kept.id, { session: kept.session }), 'not-found');
  await refuses(judgeUnkept(at.owner, kept.id, { session: { segments: 3 } }), 'wrong-input');
});

test('a thousand homes are sent to but for those unticked on any page; each chunk once, and it can be called back', async () => {
  const kept = await sessionNamed('Who is on the wall?');
  await settleAll(kept.id);
  const first = await readSendPage(at.owner, kept.id);
  const second = await readSendPage(at.owner, kept.id, { audience: first.audience, page: 2 });
  assert.deepEqual([first.fits.length, first.page, second.page], [100, 1, 2]);
  const ids = (page: typeof first) => page.fits.map(({ home }) => home.id);
  const untick = (audience: typeof first.audience, page: typeof first) =>
    audienceAsTicked(at.owner, kept.id, { audience, shown: ids(page), ticked: ids(page).slice(1) });
  const audience = await untick(await untick(first.audience, first), second);
  assert.deepEqual(audience.except, [ids(first)[0], ids(second)[0]]);
  const again = await audienceAsTicked(at.owner, kept.id, { audience, shown: ids(first), ticked: ids(first) });
  assert.deepEqual(again.except, [ids(second)[0]]);

  const { revision } = await sessionNamed('Who is on the wall?');
  const press = { sessionId: kept.id, audience, revision, address, key: '0c5a3d3e-0000-4000-8000-0000000000aa' };
  const { homes } = await sendSession(at.owner, press);
  assert.equal(homes, first.total - 2);
  assert.equal((await readPost(at.owner, kept.id)).progress.waiting, homes);
  // However often it is taken up, a chunk has one job and is written once.
  await recoverChunks();
  await recoverChunks();
  const [jobs] = await rows<{ count: number }>(
    `SELECT count(*)::int AS count FROM queue.job WHERE name = 'sendings' AND state < 'completed'
        AND data ->> 'chunk' IN (SELECT sending_id || '/' || position FROM sending_chunks WHERE written_at IS NULL)`,
  );
  assert.equal(jobs!.count, Math.ceil(homes / 100));
  await writeAll();
  const chunk = (
    await rows<{ name: string }>(`SELECT sending_id || '/' || position AS name FROM sending_chunks LIMIT 1`)
  )[0]!;
  await writeQueuedChunk(chunk.name);
  const post = await readPost(at.owner, kept.id);
  assert.deepEqual([post.counts.open, post.progress.waiting, post.homes.length], [homes, 0, 100]);
  assert.equal((await sendSession(at.owner, press)).homes, homes, 'the same press is the same sending');
  const left = await readSendPage(at.owner, kept.id);
  assert.deepEqual([left.audience.to, left.ticked.size], ['missing', 2]);

  await database().query(
    `UPDATE messages SET state = 'waiting', tries = 0 WHERE sending_id IN (SELECT id FROM sendings WHERE session_id = '${kept.id}')`,
  );
  assert.equal(await undoSending(at.owner, kept.id), true);
  await writeQueuedChunk(chunk.name);
  assert.equal((await readSendPage(at.owner, kept.id)).edition, 0);
});

test('a home that changed while a sending was written is left out and counted, where something new is to be looked at', async () => {
  const id = await sessionSaying([['do', 'Fill the kettle together and watch the steam.']]);
  await settleAll(id);
  const { revision } = await findSession(at.owner, id);
  await sendSession(at.owner, { sessionId: id, audience: { ...onlyTo([]), to: 'all' }, revision, address });
  // What was decided about the kettle is taken back before anybody writes the guides: it is to be looked at once more.
  await database().query(`DELETE FROM session_decisions WHERE session_id = '${id}'`);
  await writeAll();
  const { progress, counts } = await readPost(at.owner, id);
  assert.deepEqual([progress, counts.links], [{ waiting: 0, leftOut: SIZES.at(-1) }, 0]);
});

test('an audience that names what is no home takes in nobody, and sending to it is refused in words', async () => {
  const kept = await sessionNamed('A parcel for Nim');
  const odd = ['x', '__proto__', '-'.repeat(36), ''];
  for (const to of ['-'.repeat(36), 'constructor', 'x'])
    assert.equal((await readSendPage(at.owner, kept.id, { audience: { to, except: odd, also: [] } })).ticked.size, 0);
  const audience = await audienceAsTicked(at.owner, kept.id, { audience: onlyTo([]), shown: odd, ticked: odd });
  const press = { sessionId: kept.id, audience, revision: kept.revision, address };
  await refuses(sendSession(at.owner, press), 'wrong-input');
});

test('a group of homes is an audience; one of another programme is nobody', async () => {
  const kept = await sessionNamed('A parcel for Nim');
  const [group] = await rows<{ id: string }>(
    `INSERT INTO home_groups (id, programme_id, name) VALUES (gen_random_uuid(), '${at.owner.programmeId}', 'Lantern Room') RETURNING id`,
  );
  const [one, two] = await readHomes(at.owner.programmeId, { items: [] });
  await database().query(
    `INSERT INTO home_group_members (group_id, home_id, programme_id) SELECT '${group!.id}', id, programme_id FROM homes WHERE id IN ('${one!.id}', '${two!.id}')`,
  );
  const audience = { to: group!.id, except: [two!.id], also: [] };
  const page = await readSendPage(at.owner, kept.id, { audience });
  assert.deepEqual([...page.ticked], [one!.id]);
  assert.deepEqual(page.groups, [{ id: group!.id, name: 'Lantern Room' }]);
  assert.equal((await readSendPage(at.owner, kept.id, { audience: { ...onlyTo([]), to: kept.id } })).ticked.size, 0);
});
