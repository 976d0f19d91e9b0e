import { readTermPage } from '../../src/server/services/termPage.ts';
import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Person } from '../../src/server/services/person.ts';
import { keepProgramme } from '../../src/server/services/programme.ts';
import type { EdgeError } from '../../src/server/http/errors.ts';
import { countingQueries, database } from '../../src/server/db/connection.ts';
import { addTerm } from '../../src/server/db/repositories/terms.ts';
import { readBookPage } from '../../src/server/services/bookPage.ts';
import { openFeed, readFeedPath, renewFeed, revokeFeed, writeCalendar } from '../../src/server/services/calendar.ts';
import { readDue } from '../../src/server/services/preparations.ts';
import { cancelReservation, findCopies, reserveBook } from '../../src/server/services/reservations.ts';
import { deleteSession, findSession } from '../../src/server/services/sessions.ts';
import { readToday } from '../../src/server/services/today.ts';
import { frameNewTerm, keepTerm, listTerms, putPlannedOnBench } from '../../src/server/services/terms.ts';
import { applyTermEdit, type Term, type TermEdit } from '../../src/core/terms/index.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses } = helpersFor(() => at);

const FRAME = {
  title: 'Spring',
  startsOn: '2027-03-01',
  endsOn: '2027-05-21',
  weekday: '4',
  time: '10:00',
  minutes: '20',
  themes: 'Wheels\r\nshadows\r\nPost and parcels',
  school: 'sounds-first',
};
const edit = (term: Term, ...edits: TermEdit[]): Term =>
  edits.reduce((sofar, one) => {
    const done = applyTermEdit(sofar, one);
    if (!done.ok) throw new Error(done.problem.code);
    return done.value;
  }, term);

test('a term is framed from a form, and each wrong field is named', async () => {
  const problemsOf = async (change: object) => {
    try {
      await frameNewTerm(at.owner, { ...FRAME, ...change });
    } catch (error) {
      return (error as { details: { problems: { path: string; message: string }[] } }).details.problems
        .map(({ path, message }) => `${path}: ${message}`)
        .join('; ');
    }
    return 'framed';
  };
  assert.match(await problemsOf({ endsOn: '2027-02-01' }), /^endsOn: 2027-02-01 is before the term starts/);
  assert.match(await problemsOf({ startsOn: '2027-02-30' }), /^startsOn: “2027-02-30” is not a day that exists/);
  assert.match(await problemsOf({ minutes: 'twenty' }), /^minutes: must be a number of minutes/);
  assert.match(await problemsOf({ endsOn: '2029-05-21' }), /117 weeks, and a term holds at most 60/);
  assert.equal((await listTerms(at.owner)).length, 0);
  const page = await readTermPage(at.owner, await frameNewTerm(at.owner, FRAME));
  assert.equal(page.term.weeks.length, 12);
  assert.deepEqual(
    page.term.weeks.slice(0, 4).map(({ theme }) => theme),
    ['wheels', 'shadows', 'post-and-parcels', ''],
  );
  const [stored] = await database().query(`SELECT DISTINCT body->'contentVersion' AS version FROM terms`);
  assert.deepEqual(stored, [{ version: 0 }]);
});

test('a planned session goes onto the bench once, and moves there when the term moves it', async () => {
  const [kept] = await listTerms(at.owner);
  const slot = (term: Term, week: number) => term.weeks[week]!.sessions[0]!;
  const filled = edit(
    kept!.term,
    {
      do: 'set-session',
      session: slot(kept!.term, 1).id,
      change: { book: 'the-goat-who-counted-planks', song: 'carry-it-on' },
    },
    { do: 'add-activity', session: slot(kept!.term, 1).id, key: 'bridge-for-a-goat' },
  );
  await keepTerm(at.owner, kept!.id, { revision: kept!.revision, term: filled });
  const slotId = slot(filled, 1).id;
  const benchId = await putPlannedOnBench(at.owner, { termId: kept!.id, slotId });
  assert.equal(await putPlannedOnBench(at.owner, { termId: kept!.id, slotId }), benchId);
  const before = await findSession(at.owner, benchId);
  assert.deepEqual(
    [before.session.on, before.session.at, before.session.segments.map(({ kind }) => kind)],
    ['2027-03-11', '10:00', ['opening', 'book', 'activity', 'song', 'closing']],
  );
  const page = await readTermPage(at.owner, kept!.id);
  const moved = edit(page.term, { do: 'move-session', from: slotId, to: slot(page.term, 4).id });
  await keepTerm(at.owner, kept!.id, { revision: page.revision, term: moved });
  const after = await findSession(at.owner, benchId);
  assert.deepEqual([after.session.on, after.revision], ['2027-04-01', before.revision + 1]);
  const due = (await readTermPage(at.owner, kept!.id)).due.filter(({ sessionId }) => sessionId === benchId);
  assert.deepEqual(
    due.map(({ what, by }) => `${what.kind} ${by}`),
    ['reserve 2027-03-22', 'send 2027-03-30', 'collect 2027-03-31', 'hold 2027-04-01'],
  );
});

test('a session that was deleted is asked for anew in its week, and is there again when it is brought back', async () => {
  const onBench = async () =>
    (await listTerms(at.owner))[0]!.term.weeks.flatMap(({ sessions }) =>
      sessions.flatMap(({ benchId }) => benchId ?? []),
    );
  const tasks = async (id: string) =>
    (await readDue(at.owner)).due.filter(({ sessionId }) => sessionId === id).map(({ what }) => what.kind);
  const [benchId] = await onBench();
  const slot = (await listTerms(at.owner))[0]!.term.weeks
    .flatMap(({ sessions }) => sessions)
    .find((session) => session.benchId === benchId)!;
  await deleteSession(at.owner, benchId!, true);
  assert.ok(!(await onBench()).includes(benchId!));
  assert.deepEqual(await tasks(benchId!), []);
  assert.ok((await tasks(slot.id)).includes('write'));
  await deleteSession(at.owner, benchId!, false);
  assert.ok((await onBench()).includes(benchId!));
});

test('a term that somebody else kept meanwhile is not overwritten', async () => {
  const [kept] = await listTerms(at.owner);
  await refuses(
    keepTerm(at.owner, kept!.id, { revision: kept!.revision - 1, term: { ...kept!.term, title: 'Another' } }),
    'conflict',
  );
  const again = await keepTerm(at.owner, kept!.id, { revision: kept!.revision - 1, term: kept!.term });
  assert.equal(again.revision, kept!.revision, 'a save whose answer was lost is no conflict with oneself');
  await refuses(
    keepTerm(at.owner, kept!.id, { revision: kept!.revision, term: { ...kept!.term, endsOn: '2027-02-30' } }),
    'wrong-input',
  );
  await refuses(
    keepTerm(at.owner, kept!.id, { revision: kept!.revision, term: { ...kept!.term, endsOn: '2027-01-30' } }),
    'wrong-input',
  );
});

test('a copy is reserved with its lead time over closed days, is gone for the next, and can be let go', async () => {
  const copies = await findCopies('Nine odd socks');
  const free = copies.find(({ isFree, leadWorkingDays }) => isFree && leadWorkingDays !== null)!;
  await reserveBook(at.owner, 'nine-odd-socks', { copy: free.copy, neededOn: '2027-04-08', leadWorkingDays: '5' });
  const page = await readBookPage(at.owner, 'nine-odd-socks');
  assert.deepEqual([page!.reservations[0]!.reservedOn, page!.reservations[0]!.arrivesOn], ['2027-03-08', '2027-03-15']);
  assert.equal((await findCopies('Nine odd socks')).find(({ copy }) => copy === free.copy)!.isFree, false);
  await refuses(reserveBook(at.stranger, 'nine-odd-socks', { copy: free.copy, neededOn: '2027-04-08' }), 'not-found');
  await cancelReservation(at.owner, 'nine-odd-socks', '2027-04-08');
  assert.equal((await findCopies('Nine odd socks')).find(({ copy }) => copy === free.copy)!.isFree, true);
  await refuses(
    reserveBook(at.owner, 'nine-odd-socks', { copy: free.copy, neededOn: '2027-04-31', leadWorkingDays: '' }),
    'wrong-input',
  );
});

test('a reservation whose lead time nobody knows asks for it', async () => {
  const unknown = (await findCopies('')).find(({ isFree, leadWorkingDays }) => isFree && leadWorkingDays === null);
  assert.ok(unknown, 'the stand-in has a copy without a lead time');
  await assert.rejects(
    reserveBook(at.owner, 'the-goat-who-counted-planks', {
      copy: unknown.copy,
      neededOn: '2027-04-08',
      leadWorkingDays: '',
    }),
    (error: { details: { problems: { path: string }[] } }) => error.details.problems[0]!.path === 'lead time',
  );
});

test('a feed opens by its secret address only, until it is renewed or ended', async () => {
  const path = await renewFeed(at.owner);
  const token = /calendar\/(.+)\.ics/.exec(path)![1]!;
  assert.equal(await openFeed(token, 'https://a.example'), await writeCalendar(at.owner, 'https://a.example'));
  assert.match(await openFeed(token, 'https://a.example'), /UID:.+@footstool/);
  await refuses(openFeed(`${token}x`, ''), 'not-found');
  const renewed = await renewFeed(at.owner);
  assert.notEqual(renewed, path);
  await refuses(openFeed(token, ''), 'not-found');
  await revokeFeed(at.owner);
  assert.equal(await readFeedPath(at.owner), null);
  await refuses(openFeed(/calendar\/(.+)\.ics/.exec(renewed)![1]!, ''), 'not-found');
});

test('nobody sees or changes a term that is not theirs, and who reads may not write', async () => {
  const [kept] = await listTerms(at.owner);
  const { id, revision, term } = kept!;
  const slotId = term.weeks[0]!.sessions[0]!.id;
  assert.deepEqual(await listTerms(at.stranger), []);
  await refuses(readTermPage(at.stranger, id), 'not-found');
  await refuses(keepTerm(at.stranger, id, { revision, term }), 'not-found');
  await refuses(putPlannedOnBench(at.stranger, { termId: id, slotId }), 'not-found');
  await refuses(keepTerm(at.reader, id, { revision, term }), 'not-allowed');
  await refuses(putPlannedOnBench(at.reader, { termId: id, slotId }), 'not-allowed');
  await refuses(frameNewTerm(at.reader, FRAME), 'not-allowed');
  await refuses(renewFeed(at.reader), 'not-allowed');
  const [, other] = (await listTerms(at.owner)).map(({ term: { weeks } }) => weeks);
  assert.equal(other, undefined);
  // A stranger's term that names our session on the bench does not move it.
  const theirs = await frameNewTerm(at.stranger, FRAME);
  const page = await readTermPage(at.stranger, theirs);
  const benchId = term.weeks.flatMap(({ sessions }) => sessions.flatMap((session) => session.benchId ?? []))[0]!;
  const before = (await findSession(at.owner, benchId)).session.on;
  const stolen = edit(page.term, {
    do: 'set-session',
    session: page.term.weeks[0]!.sessions[0]!.id,
    change: { benchId },
  });
  await keepTerm(at.stranger, theirs, { revision: page.revision, term: stolen });
  assert.equal((await findSession(at.owner, benchId)).session.on, before);
});

test('the queries of the term and of what is due are fixed, however many terms there are', async () => {
  const [kept] = await listTerms(at.owner);
  const count = async () => [
    (await countingQueries(() => readTermPage(at.owner, kept!.id))).queries,
    (await countingQueries(() => readDue(at.owner))).queries,
  ];
  const few = await count();
  assert.deepEqual(few, [8, 5]);
  for (let number = 0; number < 3; number++)
    await addTerm(at.owner.programmeId, { ...kept!.term, title: `T${number}` }, null);
  assert.deepEqual(await count(), few);
});

test('the database itself refuses a term that ends before it starts, a ruling on itself and two live feeds', async () => {
  const refusesSql = (sql: string) => assert.rejects(database().query(sql), sql);
  await refusesSql(`UPDATE terms SET ends_on = '2020-01-01'`);
  await refusesSql(
    `INSERT INTO swap_rulings VALUES ('${at.owner.programmeId}', 'cup', 'cup', 'use', 1, '', NULL, now())`,
  );
  await refusesSql(`UPDATE reservations SET lead_working_days = 0`);
  const feed = `INSERT INTO calendar_feeds SELECT gen_random_uuid(), id, md5(random()::text) || md5(random()::text), now(), NULL FROM programmes`;
  await database().query(feed);
  await refusesSql(feed);
});

test('today, what is due and the calendar go by the clock of the programme, not of the machine', async () => {
  const before = process.env.FOOTSTOOL_NOW;
  // Half past ten in the evening in London: already tomorrow in Auckland, still the morning in Los Angeles.
  process.env.FOOTSTOOL_NOW = '2027-03-08T22:30:00Z';
  const inZone = (timeZone: string): Person => ({ ...at.owner, settings: { ...at.owner.settings, timeZone } });
  const days = await Promise.all(
    ['', 'Pacific/Auckland', 'America/Los_Angeles'].map(async (zone) => (await readToday(inZone(zone))).today),
  );
  process.env.FOOTSTOOL_NOW = before;
  assert.deepEqual(days, ['2027-03-08', '2027-03-09', '2027-03-08']);
  const timed = (calendar: string) => /DTSTART:(\d{8}T\d{6}Z)/.exec(calendar)?.[1];
  const [here, there] = await Promise.all([
    writeCalendar(inZone('Europe/London'), 'https://a.example'),
    writeCalendar(inZone('Pacific/Auckland'), 'https://a.example'),
  ]);
  assert.ok(timed(here) && timed(there) && timed(here) !== timed(there));
  const form = (timeZone: string) => keepProgramme(at.owner, new URLSearchParams({ timeZone }));
  await assert.rejects(form('Europe/Atlantis'), (error: EdgeError) =>
    error.details.problems!.some(({ path }) => path === 'timeZone'),
  );
});
