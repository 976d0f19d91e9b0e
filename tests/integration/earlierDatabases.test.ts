import assert from 'node:assert/strict';
import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { after, afterEach, before, test } from 'node:test';
import { gunzipSync } from 'node:zlib';
import { QueryTypes } from 'sequelize';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { migrate, NEWEST_SCHEMA, readSchema } from '../../src/server/db/migrations/migrate.ts';
import { DEMO } from '../../src/server/demo.ts';
import { guideToken } from '../../src/server/http/secrets.ts';
import { readBench } from '../../src/server/services/benchPage.ts';
import { openGuide } from '../../src/server/services/guides.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { readPost } from '../../src/server/services/post.ts';
import { readSendPage } from '../../src/server/services/sendPage.ts';
import { listSessions } from '../../src/server/services/sessions.ts';
import { personOf, signIn } from '../../src/server/services/signIn.ts';
import { listTerms } from '../../src/server/services/terms.ts';
import { SECRET, startTestDatabase, testEnvironment, type TestDatabase } from '../support/app.ts';
import { testPort } from '../support/ports.ts';

/** The demo's database as each earlier version left it (tests/tools/keep-database.ts), by the newest schema it had. */
const KEPT = resolve(import.meta.dirname, '../fixtures/databases');
const ALL = readdirSync(KEPT).sort();
/** The soak tries each; the other tests the oldest, the newest, and one between them. */
const EARLIER = process.env.FOOTSTOOL_SOAK
  ? ALL
  : ALL.filter((_, index) => [0, Math.floor(ALL.length / 2), ALL.length - 1].includes(index));
const FOOTSTOOL = resolve(import.meta.dirname, '../../bin/footstool');
const folder = mkdtempSync(join(tmpdir(), 'footstool-earlier-'));
let records: TestDatabase;

before(() => {
  Object.assign(process.env, {
    FOOTSTOOL_SECRET: SECRET,
    FOOTSTOOL_DATA: folder,
    FOOTSTOOL_NOW: '2027-03-08T09:00:00Z',
    LOG_LEVEL: 'silent',
  });
});
afterEach(async () => {
  await closeDatabase();
  await records.remove();
});
after(() => rmSync(folder, { recursive: true, force: true }));

async function restore(name: string): Promise<void> {
  records = await startTestDatabase();
  const input = gunzipSync(readFileSync(join(KEPT, name)));
  execFileSync('psql', ['-q', '-v', 'ON_ERROR_STOP=1', '-d', records.url], {
    input,
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  process.env.DATABASE_URL = records.url;
}

const TABLES = [
  'programmes',
  'users',
  'homes',
  'children',
  'sessions',
  'shelf_items',
  'guide_links',
  'guide_copies',
  'replies',
];

async function countRows(): Promise<Record<string, number>> {
  const counts = TABLES.map((table) => `(SELECT count(*)::int FROM ${table}) AS ${table}`);
  const [row] = await database().query<Record<string, number>>(`SELECT ${counts.join()}`, { type: QueryTypes.SELECT });
  return row!;
}

for (const name of EARLIER)
  test(`a database of ${name.replace('.sql.gz', '')} is brought up to date: nothing is lost, everything opens`, async () => {
    await restore(name);
    const had = await countRows();
    assert.equal(had.homes, 12);
    await migrate();
    assert.equal(await readSchema(), NEWEST_SCHEMA);
    assert.deepEqual(await countRows(), had);

    const [owner] = DEMO.people;
    const person = (await personOf(await signIn(owner.email, owner.password, '192.0.2.1')))!;
    const { homes } = await listHomes(person);
    assert.equal(homes.length, 12);
    await listTerms(person);
    const sessions = await listSessions(person);
    assert.equal(sessions.length, had.sessions);
    for (const { id } of sessions) {
      const { judgement, session } = await readBench(person, id);
      assert.ok(session.segments.length > 0 && judgement, session.title);
      assert.equal((await readSendPage(person, id)).fits.length, 12);
    }
    const links = await database().query<{ id: string; sessionId: string }>(
      'SELECT id, session_id AS "sessionId" FROM guide_links WHERE revoked_at IS NULL',
      { type: QueryTypes.SELECT },
    );
    for (const { id } of links) assert.ok((await openGuide(guideToken(id)))!.guide.segments.length > 0);
    const answers = await Promise.all(
      [...new Set(links.map(({ sessionId }) => sessionId))].map((id) => readPost(person, id)),
    );
    assert.equal(answers.flatMap(({ homes: asked }) => asked.filter(({ reply }) => reply)).length, had.replies);
  });

test('two starts at once on a database of the first version both come to their end', async () => {
  await restore(EARLIER[0]!);
  const had = await countRows();
  const environment = testEnvironment(records.url, folder, await testPort());
  const ends = [1, 2].map(
    () =>
      new Promise<number | null>((ended) =>
        spawn(FOOTSTOOL, ['migrate'], { env: environment, stdio: 'ignore' }).once('exit', ended),
      ),
  );
  assert.deepEqual(await Promise.all(ends), [0, 0]);
  assert.equal(await readSchema(), NEWEST_SCHEMA);
  assert.deepEqual(await countRows(), had);
});
