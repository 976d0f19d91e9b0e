import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { startWorking } from '../../src/server/queue/handlers.ts';
import type { QueueWorker } from '../../src/server/db/queue.ts';
import { countingQueries, database } from '../../src/server/db/connection.ts';
import { readNextStep } from '../../src/server/services/ladder.ts';
import { printMaker, putMadeIntoSession } from '../../src/server/services/makersPage.ts';
import {
  listJobs,
  printJob,
  readJob,
  readPrinted,
  readTray,
  recoverPrints,
  removeOldPrints,
  startPrinting,
} from '../../src/server/services/printing.ts';
import { keepProgramme } from '../../src/server/services/programme.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import { findSession } from '../../src/server/services/sessions.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
let queue: QueueWorker;
before(async () => {
  at = await startProgrammes();
  queue = await startWorking((error) => assert.fail(error));
});
after(async () => {
  await queue.stop();
  await at.remove();
});
const { sessionNamed, refuses } = helpersFor(() => at);

const putPots = async (values: Record<string, unknown> = {}) => {
  const { id } = await sessionNamed('A parcel for Nim');
  await putMadeIntoSession(at.owner, { id: 'number-pots', sessionId: id, written: values });
  return id;
};
const finished = async (job: string) => {
  for (;;) {
    const answer = await readJob(at.owner, job);
    if (answer.state !== 'waiting') return answer;
    await new Promise((next) => setTimeout(next, 50));
  }
};

test('what a maker makes goes into a session, checked, and only where one may write', async () => {
  const id = await putPots({ to: 7 });
  const { session } = await findSession(at.owner, id);
  const part = session.segments.find(({ made }) => made)!;
  assert.deepEqual([part.title, part.made!.maker, part.made!.values.to], ['Number pots', 'number-pots', 7]);
  assert.equal(session.segments.at(-1)!.kind, 'closing');
  const put = (person: typeof at.owner, maker: string, written: unknown) =>
    putMadeIntoSession(person, { id: maker, sessionId: id, written });
  await refuses(put(at.owner, 'number-pots', { to: 2000 }), 'wrong-input');
  await refuses(put(at.owner, 'unheard-of', {}), 'not-found');
  await refuses(put(at.stranger, 'number-pots', {}), 'not-found');
  await refuses(put(at.reader, 'number-pots', {}), 'not-allowed');
  await refuses(printMaker(at.owner, 'money-table', { purse: '0' }), 'wrong-input');
  assert.equal((await printMaker(at.reader, 'clock', null)).subarray(0, 5).toString(), '%PDF-');
});

test('a tray is printed, kept and shown to its own programme only', async () => {
  const id = await putPots();
  const job = await startPrinting(at.owner, id, { for: 'all', version: 'large' });
  const { state, pages, bytes } = await finished(job);
  assert.equal(state, 'done');
  assert.ok(pages > 12 && bytes > 1000);
  assert.equal((await readPrinted(at.reader, job)).length, bytes);
  assert.deepEqual(
    (await listJobs(at.owner)).map((entry) => entry.id),
    [job],
  );
  assert.deepEqual(await listJobs(at.stranger), []);
  await refuses(readPrinted(at.stranger, job), 'not-found');
  await refuses(readJob(at.stranger, job), 'not-found');
  await refuses(startPrinting(at.stranger, id, { for: 'all', version: 'usual' }), 'not-found');
  await refuses(startPrinting(at.reader, id, { for: 'all', version: 'usual' }), 'not-allowed');
  await refuses(startPrinting(at.owner, id, { for: 'everybody', version: 'usual' }), 'wrong-input');
  await refuses(startPrinting(at.owner, id, { for: 'home', version: 'usual' }), 'wrong-input');
});

test('a job that a restart cut off is taken up again and comes out', async () => {
  const id = await putPots();
  const job = await startPrinting(at.owner, id, { for: 'author', version: 'usual' });
  await finished(job);
  const isAt = (ago: string) =>
    database().query(
      `UPDATE print_jobs SET state = 'waiting', pages = 0, bytes = 0, worked_at = worked_at - interval '${ago}' WHERE id = '${job}'`,
    );
  // Somebody is at it still, however long ago it was begun: nobody else begins.
  await isAt('10 seconds');
  assert.equal(await recoverPrints(), 0);
  await printJob(job);
  assert.equal((await readJob(at.owner, job)).state, 'waiting');
  await isAt('2 minutes');
  assert.equal(await recoverPrints(), 1);
  assert.equal((await finished(job)).state, 'done');
});

test('what came out is kept for a month and then deleted; the list goes on saying that it came out', async () => {
  const id = await putPots();
  const job = await startPrinting(at.owner, id, { for: 'author', version: 'usual' });
  await finished(job);
  assert.equal(await removeOldPrints(), 0);
  await database().query(`UPDATE print_jobs SET created_at = created_at - interval '31 days' WHERE id = '${job}'`);
  assert.equal(await removeOldPrints(), 1);
  await refuses(readPrinted(at.owner, job), 'not-found');
  const kept = (await listJobs(at.owner)).find((entry) => entry.id === job)!;
  assert.deepEqual([kept.state, kept.isRemoved], ['done', true]);
  assert.equal(await removeOldPrints(), 0);
});

test('the tray of one home holds its guide, and a guide read from the right says where it is printed', async () => {
  const { id } = await sessionNamed('A parcel for Nim');
  const { homes } = await listHomes(at.owner);
  const trayOf = async (language: string) => {
    const home = homes.find((candidate) => candidate.language === language)!;
    const { pages } = await readTray(at.owner, id, { for: 'home', home: home.id, version: 'usual' });
    return { home, text: JSON.stringify(pages) };
  };
  const spanish = await trayOf('es');
  assert.match(spanish.text, new RegExp(`A parcel for Nim, for ${spanish.home.nickname}`));
  assert.match(spanish.text, /minutos/);
  const arabic = await trayOf('ar');
  assert.match(arabic.text, /is read from the right: print it from its own page/);
  assert.doesNotMatch(arabic.text, new RegExp(`A parcel for Nim, for ${arabic.home.nickname}`));
});

test('the tray of one home names it, and the queries are fixed', async () => {
  const { id } = await sessionNamed('A parcel for Nim');
  const { homes } = await readTray(at.owner, id, { for: 'author', version: 'usual' });
  const { value, queries } = await countingQueries(() =>
    readTray(at.owner, id, { for: 'home', home: homes[0]!.id, version: 'usual' }),
  );
  assert.match(JSON.stringify(value.pages), new RegExp(`for ${homes[0]!.nickname}`));
  assert.equal(
    (await countingQueries(() => readTray(at.owner, id, { for: 'all', version: 'usual' }))).queries,
    queries,
  );
  assert.equal(queries, 6);
});

test('a programme is changed by its owner, within the ranges, and the makers obey', async () => {
  const form = (change: Record<string, string>) =>
    new URLSearchParams({
      weekend: '7',
      closed: '',
      seatedMinutesPerYear: '3',
      screens: 'listen',
      wordsAtOnce: '5',
      restAfter: '3',
      wordsKeptBy: 'author',
      sendWorkingDays: '2',
      stage: 'signs',
      currency: 'tokens',
      paper: 'letter',
      ...change,
    });
  await refuses(keepProgramme({ ...at.owner, role: 'author' }, form({})), 'not-allowed');
  await refuses(keepProgramme(at.owner, form({ closed: '2027-02-30' })), 'wrong-input');
  await refuses(keepProgramme(at.owner, form({ paper: 'papyrus' })), 'wrong-input');
  const settings = await keepProgramme(at.owner, form({ closed: '2027-05-03 2027-05-04', pastTen: 'on' }));
  assert.deepEqual(
    [
      settings.weekend,
      settings.closed,
      settings.paper,
      settings.numbers.zeroEarly,
      settings.numbers.pastTen,
      settings.numbers.currency,
    ],
    [[7], ['2027-05-03', '2027-05-04'], 'letter', false, true, 'tokens'],
  );
  await refuses(printMaker({ ...at.owner, settings }, 'number-strip', { from: 0 }), 'wrong-input');
});

test('the ladder proposes activities of the own shelf that were not used lately', async () => {
  const next = await readNextStep(at.owner, { skill: 'touch-count', isThere: true });
  assert.equal(next!.offer, 'how-many');
  assert.equal(next!.activities.length, 2);
  assert.ok(next!.activities.every(({ lastUsed }) => lastUsed === undefined));
  assert.deepEqual((await readNextStep(at.stranger, { skill: 'sort', isThere: false }))!.activities, []);
});

test('the database refuses a job that is done without sheets', async () => {
  await assert.rejects(database().query(`UPDATE print_jobs SET pages = 0 WHERE state = 'done'`));
  await assert.rejects(database().query(`UPDATE print_jobs SET state = 'lost'`));
});

test('a tray of more pages than anybody prints is refused before it is laid out', async () => {
  const id = await putPots();
  for (const maker of ['pair-cards', 'strips'])
    await putMadeIntoSession(at.owner, { id: maker, sessionId: id, written: {} });
  const others = Array.from({ length: 280 }, (_, index) => ({
    nickname: `Paper home ${index}`,
    contact: '',
    language: 'en',
    allergens: [],
    children: [],
    things: [],
  }));
  await importFile(at.owner, { format: 'footstool', version: 1, homes: others });
  await assert.rejects(
    startPrinting(at.owner, id, { for: 'all', version: 'usual' }),
    (error: EdgeError) => error.code === 'wrong-input' && /about \d+ pages/.test(error.details.problems![0]!.message),
  );
  const preview = await readTray(at.owner, id, { for: 'kit', version: 'usual' }, { mostHomes: 24 });
  assert.equal(preview.left, 292 - 24);
});

test('a programme holds ten thousand homes; a file that would bring one more is refused whole', async () => {
  await database().query(
    `INSERT INTO homes (id, programme_id, nickname) SELECT gen_random_uuid(), '${at.owner.programmeId}', 'Row ' || number
       FROM generate_series((SELECT count(*) FROM homes WHERE programme_id = '${at.owner.programmeId}') + 1, 10000) number`,
  );
  const one = { nickname: 'One more', contact: '', language: 'en', allergens: [], children: [], things: [] };
  await refuses(importFile(at.owner, { format: 'footstool', version: 1, homes: [one] }), 'wrong-input');
});
