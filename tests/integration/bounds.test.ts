import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { closedDaysOf } from '../../src/core/terms/index.ts';
import { findHome, keepHome, listHomes, listTakenOut, takeOutHome } from '../../src/server/services/homes.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import { keepProgramme } from '../../src/server/services/programme.ts';
import { findEntry, keepEntry } from '../../src/server/services/shelfEntries.ts';
import {
  copySession,
  deleteSession,
  findSession,
  keepSession,
  listDeleted,
  listSessions,
} from '../../src/server/services/sessions.ts';
import { frameNewTerm, keepTerm, listTerms } from '../../src/server/services/terms.ts';
import { readToday } from '../../src/server/services/today.ts';
import { tick, tickKey } from '../../src/server/services/ticks.ts';
import { countingQueries } from '../../src/server/db/connection.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses, sessionNamed } = helpersFor(() => at);

/** Who it is from is known; beside what a check compares with, nothing is asked of the database before the refusal. */
const MOST_QUERIES_TO_REFUSE = 2;
const refusedAtOnce = async (work: () => Promise<unknown>, pattern: RegExp) => {
  const { queries } = await countingQueries(() =>
    assert.rejects(work(), (error: EdgeError) => {
      assert.ok(['wrong-input', 'wrong-form'].includes(error.code), error.code);
      assert.match(`${error.details.problems![0]!.path} ${error.details.problems![0]!.message}`, pattern);
      return true;
    }),
  );
  assert.ok(queries <= MOST_QUERIES_TO_REFUSE, `${queries} queries before it was refused`);
};

test('a closure from a mistyped year is refused, and one that was kept before hangs nobody', async () => {
  const id = await frameNewTerm(at.owner, {
    title: 'Spring',
    startsOn: '2027-03-01',
    endsOn: '2027-06-25',
    weekday: '4',
    time: '10:00',
    minutes: '20',
    themes: '',
    school: 'sounds-first',
  });
  const { term, revision } = (await listTerms(at.owner)).find((kept) => kept.id === id)!;
  const day = { id: 'd', title: 'Closed', kind: 'closed' as const, isFixed: true };
  const keep = (from: string, to: string) =>
    keepTerm(at.owner, id, { revision, term: { ...term, days: [{ ...day, from, to }] } });
  await refusedAtOnce(() => keep('0926-04-01', '2027-04-05'), /days\[0\]/);
  await refusedAtOnce(() => keep('1998-04-01', '2027-04-05'), /days\[0\].*far outside/);
  await keep('2027-04-01', '2027-04-05');
  assert.ok(closedDaysOf([{ ...day, from: '0926-04-01', to: '2027-04-05' }]).length <= 400);
  assert.equal(closedDaysOf([{ ...day, from: '2027-04-01', to: '2027-04-05' }]).length, 5);
});

test('lists, depth and numbers beyond bounds are refused before what is in them is looked at', async () => {
  const { id, revision, session } = await sessionNamed('A parcel for Nim');
  const keep = (change: object) => keepSession(at.owner, id, { revision, session: { ...session, ...change } });
  await refusedAtOnce(
    () => keep({ segments: Array.from({ length: 90_000 }, () => ({})) }),
    /segments must hold at most 30/,
  );
  const part = session.segments[1]!;
  const minutes = { ...part.minutes, together: [1, 2, 5000] };
  await refusedAtOnce(() => keep({ segments: [{ ...part, minutes }] }), /minutes\.together\[2\].*1440 minutes/);
  const lines = Array.from({ length: 60 }, (_, index) => ({ id: `l${index}`, kind: 'do', text: 'x'.repeat(1990) }));
  await refusedAtOnce(() => keep({ segments: [{ ...part, lines }] }), /40000 characters/);
  const deep = JSON.parse(`${'['.repeat(500)}${']'.repeat(500)}`) as unknown;
  await refusedAtOnce(() => keep({ aim: deep }), /deeper than/);
  await refusedAtOnce(() => keep({ aim: 'a\u0000b' }), /cannot be kept/);
  await refusedAtOnce(() => keep({ aim: '\ud800' }), /half a character/);
  await refusedAtOnce(() => keepSession(at.owner, id, { revision: 99_999_999_999, session }), /revision/);
  const file = (things: unknown[]) => ({ format: 'footstool', version: 1, things });
  await refusedAtOnce(
    () => importFile(at.owner, file(Array.from({ length: 20_000 }, () => ({})))),
    /things must hold at most 5000/,
  );
  await refusedAtOnce(() => importFile(at.owner, file(Array.from({ length: 4000 }, () => ({})))), /things\[0\]/);
});

test('eight who make one key at once: one entry and seven sentences', async () => {
  const { entry } = await findEntry(at.owner, 'thing', 'sock');
  const value = { ...entry, key: 'woolly-thing', one: 'woolly thing', many: 'woolly things' };
  const answers = await Promise.allSettled(
    Array.from({ length: 8 }, () => keepEntry(at.owner, { kind: 'thing', value, isNew: true })),
  );
  assert.equal(answers.filter(({ status }) => status === 'fulfilled').length, 1);
  for (const answer of answers)
    if (answer.status === 'rejected') assert.equal((answer.reason as EdgeError).code, 'wrong-input');
});

test('of two who change a home or the settings the second is told, and a save whose answer was lost is no conflict', async () => {
  const [home] = (await listHomes(at.owner)).homes;
  const { home: kept, revision } = await findHome(at.owner, home!.id);
  const mine = { ...kept, contact: 'mine@homes.example' };
  await keepHome(at.owner, home!.id, { home: mine, revision });
  assert.equal(await keepHome(at.owner, home!.id, { home: mine, revision }), home!.id);
  await assert.rejects(
    keepHome(at.owner, home!.id, { home: { ...kept, contact: 'theirs@homes.example' }, revision }),
    (error: EdgeError) =>
      error.code === 'conflict' &&
      (error.details.current as { home: { contact: string } }).home.contact === 'mine@homes.example',
  );
  const form = (revisionSeen: number, minutes: string) =>
    new URLSearchParams({
      revision: String(revisionSeen),
      weekend: '7',
      closed: '',
      seatedMinutesPerYear: minutes,
      sendWorkingDays: '2',
      screens: 'listen',
      wordsAtOnce: '5',
      restAfter: '3',
      wordsKeptBy: 'author',
      stage: 'signs',
      currency: 'tokens',
      paper: 'a4',
    });
  await keepProgramme(at.owner, form(1, '4'));
  await keepProgramme(at.owner, form(1, '4'));
  await refuses(keepProgramme(at.owner, form(1, '5')), 'conflict');
});

test('a home is added, taken out and brought back; one address, one name, nothing of another programme', async () => {
  const home = {
    nickname: 'Tall hedge',
    contact: '',
    language: 'es',
    allergens: ['milk'],
    children: [{ nickname: 'Uma', birthMonth: '2025-09' }],
    things: [{ item: 'sock', qty: 4 }],
  };
  const id = await keepHome(at.owner, 'new', { home });
  const stored = (await listHomes(at.owner)).homes.find((candidate) => candidate.id === id)!;
  assert.deepEqual(
    [stored.allergens, stored.children[0]!.nickname, stored.stock],
    [['milk'], 'Uma', [{ item: 'sock', qty: 4 }]],
  );
  await refuses(keepHome(at.owner, 'new', { home }), 'wrong-input');
  await refuses(
    keepHome(at.owner, 'new', { home: { ...home, nickname: 'Two', contact: 'a@b.example, c@d.example' } }),
    'wrong-input',
  );
  await refuses(
    keepHome(at.owner, 'new', { home: { ...home, nickname: 'Two', things: [{ item: 'unheard-of', qty: 1 }] } }),
    'wrong-input',
  );
  await refuses(keepHome(at.reader, 'new', { home: { ...home, nickname: 'Two' } }), 'not-allowed');
  await refuses(keepHome(at.stranger, id, { home, revision: 1 }), 'not-found');
  await refuses(takeOutHome(at.stranger, id, true), 'not-found');
  await takeOutHome(at.owner, id, true);
  assert.ok((await listHomes(at.owner)).homes.every((candidate) => candidate.id !== id));
  assert.deepEqual(
    (await listTakenOut(at.owner)).map((gone) => gone.id),
    [id],
  );
  await takeOutHome(at.owner, id, false);
  assert.deepEqual(await listTakenOut(at.owner), []);
});

test('a session is copied to another day, deleted and brought back; what homes have of it stays', async () => {
  const { id, session } = await sessionNamed('Who is on the wall?');
  const copy = await copySession(at.owner, id, { title: 'Once more', on: '2027-05-06' });
  assert.deepEqual((await findSession(at.owner, copy)).session.segments, session.segments);
  await refuses(copySession(at.stranger, id, { title: 'Mine', on: '2027-05-06' }), 'not-found');
  await refuses(deleteSession(at.reader, copy, true), 'not-allowed');
  await refuses(deleteSession(at.stranger, copy, true), 'not-found');
  await deleteSession(at.owner, copy, true);
  await refuses(findSession(at.owner, copy), 'not-found');
  assert.ok((await listSessions(at.owner)).every((kept) => kept.id !== copy));
  assert.deepEqual(
    (await listDeleted(at.owner)).map((gone) => gone.id),
    [copy],
  );
  await deleteSession(at.owner, copy, false);
  assert.equal((await findSession(at.owner, copy)).session.title, 'Once more');
});

test('a task of Today is ticked off and kept so, and asks anew when its day moves', async () => {
  const [item] = (await readToday(at.owner)).due;
  const key = tickKey(item!);
  await refuses(tick(at.reader, key, true), 'not-allowed');
  await refuses(tick(at.owner, 'no day in it', true), 'wrong-form');
  await tick(at.owner, key, true);
  await tick(at.owner, key, true);
  const after = await readToday(at.owner);
  assert.ok(after.due.every(({ id }) => id !== item!.id));
  assert.deepEqual(
    after.done.map(({ id }) => id),
    [item!.id],
  );
  assert.ok((await readToday(at.stranger)).done.length === 0);
  assert.notEqual(tickKey({ ...item!, by: '2027-12-01' }), key);
  await tick(at.owner, key, false);
  assert.deepEqual((await readToday(at.owner)).done, []);
});

test('many imports at once neither starve other pages nor get lost', async () => {
  const entry = (await findEntry(at.owner, 'thing', 'sock')).entry;
  const file = (from: number) => ({
    format: 'footstool',
    version: 1,
    things: Array.from({ length: 400 }, (_, index) => ({
      ...entry,
      key: `many-${from + index}`,
      one: `many ${from + index}`,
      many: `manies ${from + index}`,
    })),
  });
  const imports = Promise.all(Array.from({ length: 12 }, (_, round) => importFile(at.owner, file(round * 300))));
  let answered = 0;
  let isDone = false;
  void imports.finally(() => (isDone = true));
  while (!isDone) {
    await listSessions(at.stranger);
    answered += 1;
    await new Promise((next) => setImmediate(next));
  }
  const reports = await imports;
  assert.equal(
    reports.reduce((sum, { added }) => sum + added, 0),
    11 * 300 + 400,
    'what two files name is added once',
  );
  assert.ok(answered > 12, `another programme was answered ${answered} times while twelve files were taken in`);
});

const calc = (name: string, input: string, ...words: string[]) =>
  spawnSync(join(import.meta.dirname, '../../bin/footstool'), ['calc', name, ...words], { input, encoding: 'utf8' });

test('calc answers or refuses whatever it is given in one line, without a stack, and goes on after any line', () => {
  for (const [name, input] of [
    ['measures', '{"container":750,"parts":[1e308,1e308]}'],
    ['pots', '{"from":0,"to":1e999}'],
    ['pots', '['.repeat(50_000)],
    ['coins', '{"purse":{"__proto__":1},"pay":1e999}'],
    ['shop', 'null'],
    [
      'term-plan',
      JSON.stringify({
        slots: Array.from({ length: 200 }, (_, id) => ({ id: `s${id}`, minutes: 30 })),
        activities: Array.from({ length: 400 }, (_, id) => ({
          id: `a${id}`,
          skills: [],
          minutes: 5,
          effort: 1,
          themes: [],
        })),
        targets: {},
        perSlot: [1, 3],
        repeat: 2,
        rest: 1,
      }),
    ],
  ] as const) {
    const { status, stdout, stderr } = calc(name, input);
    assert.deepEqual([status, stdout], [2, ''], `${name}: ${stderr}`);
    assert.equal(stderr.trim().split('\n').length, 1, stderr);
    assert.doesNotMatch(stderr, /\bat .*:\d+|Error:/);
  }
  const wide = JSON.stringify({
    youngestMonths: 30,
    needs: Array.from({ length: 100 }, (_, index) => ({
      id: `n${index}`,
      segment: `s${index % 7}`,
      qty: 1 + (index % 5),
      use: index % 2 ? 'lasting' : 'used-up',
      options: Array.from({ length: 40 }, (__, option) => ({ item: `i${option}`, fit: 0.5 + option / 1000 })),
    })),
    stock: Array.from({ length: 40 }, (_, option) => ({ item: `i${option}`, qty: 3 })),
  });
  const { stdout } = calc('swaps', `${wide}\n[[[\n{"youngestMonths":30,"needs":[],"stock":[]}\n`, '--lines');
  const answers = stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { error?: string; covered?: number; proved?: boolean });
  assert.equal(answers.length, 3);
  // Too much to be proved, and answered all the same.
  assert.ok(answers[0]!.covered! > 30, stdout.slice(0, 200));
  assert.equal(answers[0]!.proved, false);
  assert.match(answers[1]!.error!, /not JSON/);
  assert.equal(answers[2]!.covered, 0);
});
