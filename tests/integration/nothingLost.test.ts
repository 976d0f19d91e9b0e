import { readTermPage } from '../../src/server/services/termPage.ts';
import { onlyTo } from '../../src/contracts/audience.ts';
import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { applyTermEdit, type Term, type TermEdit } from '../../src/core/terms/index.ts';
import { keepReply, openGuide } from '../../src/server/services/guides.ts';
import { rewriteGuide } from '../../src/server/services/rewrittenGuide.ts';
import { adoptCorrection } from '../../src/server/services/corrections.ts';
import { readPost } from '../../src/server/services/post.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { sendSession } from '../../src/server/services/sending.ts';
import { deleteSession, findSession, keepSession } from '../../src/server/services/sessions.ts';
import { findEntry, keepEntry } from '../../src/server/services/shelfEntries.ts';
import { frameNewTerm, keepTerm, listTerms, putPlannedOnBench } from '../../src/server/services/terms.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { helpersFor, startProgrammes, type TestProgrammes, wrongToken } from './programme.ts';

/** Nothing an author or a home did gets lost. */
let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses, sendToAll, reply } = helpersFor(() => at);

const edited = (term: Term, ...edits: TermEdit[]): Term =>
  edits.reduce((current, edit) => {
    const next = applyTermEdit(current, edit);
    assert.ok(next.ok);
    return next.value;
  }, term);

async function plannedTerm(): Promise<{ termId: string; benchId: string }> {
  const termId = await frameNewTerm(at.owner, {
    title: 'A term',
    startsOn: '2027-03-01',
    endsOn: '2027-05-21',
    weekday: '4',
    time: '10:00',
    minutes: '22',
    school: 'sounds-first',
    themes: 'wheels\nFrüchte & Beeren\nفصل الشتاء',
  });
  const { term, revision } = await readTermPage(at.owner, termId);
  const slot = term.weeks[2]!.sessions[0]!;
  const filled = edited(term, { do: 'add-activity', session: slot.id, key: 'owl-steps' });
  await keepTerm(at.owner, termId, { revision, term: filled });
  return { termId, benchId: await putPlannedOnBench(at.owner, { termId, slotId: slot.id }) };
}

test('saving a term leaves a date and time that were set on the bench, until the session is moved in the term', async () => {
  const { termId, benchId } = await plannedTerm();
  const onBench = await findSession(at.owner, benchId);
  await keepSession(at.owner, benchId, {
    revision: onBench.revision,
    session: { ...onBench.session, on: '2027-03-19', at: '15:15' },
  });
  const page = await readTermPage(at.owner, termId);
  await keepTerm(at.owner, termId, {
    revision: page.revision,
    term: edited(page.term, { do: 'set-theme', week: 5, theme: 'bridges' }),
  });
  const kept = (await findSession(at.owner, benchId)).session;
  assert.deepEqual([kept.on, kept.at], ['2027-03-19', '15:15']);
  const again = await readTermPage(at.owner, termId);
  const from = again.term.weeks[2]!.sessions[0]!.id;
  const to = again.term.weeks[6]!.sessions[0]!.id;
  await keepTerm(at.owner, termId, {
    revision: again.revision,
    term: edited(again.term, { do: 'move-session', from, to }),
  });
  assert.equal((await findSession(at.owner, benchId)).session.on, '2027-04-15');
});

test('a term that is saved while one of its sessions is deleted has it at its place when it comes back', async () => {
  const { termId, benchId } = await plannedTerm();
  const read = async () => (await listTerms(at.owner)).find(({ id }) => id === termId)!;
  const places = async () => (await read()).term.weeks.flatMap(({ sessions }) => sessions.map((slot) => slot.benchId));
  const before = await places();
  await deleteSession(at.owner, benchId, true);
  const { term, revision } = await read();
  await keepTerm(at.owner, termId, { revision, term: { ...term, title: 'Saved meanwhile' } });
  assert.ok(!(await places()).includes(benchId));
  await deleteSession(at.owner, benchId, false);
  assert.deepEqual(await places(), before);
});

test('a session that has been sent and is moved in the term asks to be sent again', async () => {
  const { termId, benchId } = await plannedTerm();
  const { revision } = await findSession(at.owner, benchId);
  const homeIds = (await listHomes(at.owner)).homes.map(({ id }) => id);
  await sendSession(at.owner, {
    sessionId: benchId,
    audience: onlyTo(homeIds),
    revision,
    address: 'https://homes.example',
  });
  const asksToSend = async () =>
    (await readTermPage(at.owner, termId)).due.some(
      ({ sessionId, what }) => sessionId === benchId && what.kind === 'send',
    );
  assert.equal(await asksToSend(), false);
  process.env.FOOTSTOOL_NOW = '2027-03-08T09:05:00Z';
  const page = await readTermPage(at.owner, termId);
  const [from, to] = [page.term.weeks[2]!.sessions[0]!.id, page.term.weeks[7]!.sessions[0]!.id];
  await keepTerm(at.owner, termId, {
    revision: page.revision,
    term: edited(page.term, { do: 'move-session', from, to }),
  });
  assert.equal(await asksToSend(), true);
});

test('themes keep their words in any script', async () => {
  const [kept] = (await listTerms(at.owner)).filter(({ term }) => term.title === 'A term');
  assert.deepEqual(
    kept!.term.weeks.slice(0, 3).map(({ theme }) => theme),
    ['wheels', 'früchte-beeren', 'فصل-الشتاء'],
  );
});

test('minutes are corrected against what was planned for that home at the level it was done at', async () => {
  const id = await sendToAll('The cart with no wheels');
  const links = await listLinks(at.owner, id);
  let differing = 0;
  for (const [index, { token }] of links.entries()) {
    const { guide } = (await openGuide(token))!;
    const carts = guide.segments.find(({ from }) => from === 'carts-and-lids')!;
    const level = index % 2 === 0 ? 'easier' : 'right';
    const plan = carts.levels[level]!.minutes;
    if (carts.levels.easier!.minutes !== carts.levels.right!.minutes) differing++;
    await keepReply(
      token,
      reply({ parts: [{ segment: carts.id, minutes: String(plan * 1.5), ease: 'right', level }] }),
    );
  }
  assert.ok(differing > 0, 'a home where the easier level takes less');
  const [correction] = (await readPost(at.owner, id)).corrections;
  // All took half as long again as what was planned for them: 1.5 drawn towards 1 as if 4 more homes had been on time.
  assert.equal(correction!.factor, Math.round(Math.exp((12 * Math.log(1.5)) / 16) * 1000) / 1000);
});

test('two corrections at once are one, and do not undo what somebody else changed', async () => {
  const { entry, revision } = await findEntry(at.owner, 'activity', 'carts-and-lids');
  const before = (entry as unknown as { minutes: { setup: unknown; together: (number | string)[] } }).minutes;
  const results = await Promise.allSettled([
    adoptCorrection(at.owner, 'carts-and-lids'),
    adoptCorrection(at.owner, 'carts-and-lids'),
    adoptCorrection(at.owner, 'carts-and-lids'),
  ]);
  assert.equal(results.filter(({ status }) => status === 'fulfilled').length, 1);
  const { entry: now, revision: later } = await findEntry(at.owner, 'activity', 'carts-and-lids');
  const minutes = (now as unknown as { minutes: { setup: unknown; together: string[] } }).minutes;
  assert.deepEqual(minutes.setup, before.setup);
  assert.equal(minutes.together[0]!.split('*').filter((part) => /^1\.\d+$/.test(part)).length, 1);
  assert.equal(later, revision + 1);
  await refuses(keepEntry(at.owner, { kind: 'activity', value: entry, isNew: false, revision }), 'conflict');
});

test('a reply opened again shows what was said; a corrected one is kept; a later note keeps earlier minutes', async () => {
  const id = await sendToAll('Who is on the wall?');
  const { token } = (await listLinks(at.owner, id))[0]!;
  const segment = (await openGuide(token))!.guide.segments.find(({ kind }) => kind === 'activity')!.id;
  const shown = async () => (await openGuide(token))!.reply!;
  await keepReply(
    token,
    reply({ note: 'A mouse!', parts: [{ segment, minutes: '7', ease: 'right', level: 'easier' }] }),
  );
  assert.deepEqual(
    [(await shown()).note, (await shown()).parts],
    ['A mouse!', [{ segment, minutes: 7, ease: 'right', level: 'easier' }]],
  );
  // From a page that was opened before: its empty fields say nothing.
  assert.equal(await keepReply(token, reply({ note: 'And an owl.' })), 'changed');
  assert.deepEqual(
    [(await shown()).note, (await shown()).parts[0]!.minutes, (await shown()).parts[0]!.level],
    ['And an owl.', 7, 'easier'],
  );
  // From the page that shows it: what is emptied there is emptied.
  process.env.FOOTSTOOL_NOW = '2027-03-08T09:10:00Z';
  const answered = (await shown()).repliedAt.toISOString();
  assert.equal(await keepReply(token, reply({ outcome: 'partly', note: '', answered })), 'changed');
  assert.deepEqual([(await shown()).outcome, (await shown()).note, (await shown()).parts], ['partly', '', []]);
});

test('the same press many times is one reply, told by what it says', async () => {
  const id = await sendToAll('A parcel for Nim');
  const { token } = (await listLinks(at.owner, id))[1]!;
  const form = reply({ note: 'Tea for us all.' });
  const kept = await Promise.all(Array.from({ length: 6 }, () => keepReply(token, form)));
  assert.deepEqual(kept.sort(), ['kept', 'same', 'same', 'same', 'same', 'same']);
});

test('a home that has no book says so, is counted, and may take it back', async () => {
  const id = await sendToAll('A parcel for Nim');
  const { token } = (await listLinks(at.owner, id))[0]!;
  const count = async () => (await readPost(at.owner, id)).homes.filter(({ isWithoutBook }) => isWithoutBook).length;
  assert.equal(await count(), 0);
  await rewriteGuide(token, { what: 'book', isThere: false });
  assert.equal(await count(), 1);
  assert.equal((await openGuide(token))!.isWithoutBook, true);
  const { guide } = (await openGuide(token))!;
  assert.match(guide.books[0]!.retold!, /Nim/);
  await rewriteGuide(token, { what: 'book', isThere: true });
  assert.equal(await count(), 0);
  await refuses(rewriteGuide(wrongToken(token), { what: 'book', isThere: false }), 'not-found');
});
