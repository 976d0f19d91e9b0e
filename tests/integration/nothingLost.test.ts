import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { readCsv, writeCsv } from '../../src/contracts/csvEntries.ts';
import { applyTermEdit, type TermEdit } from '../../src/core/terms/termEdit.ts';
import type { Term } from '../../src/core/terms/term.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { readBookPage } from '../../src/server/services/bookPage.ts';
import { exportFile } from '../../src/server/services/exportShelf.ts';
import { keepReply, markBook, openGuide } from '../../src/server/services/guides.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import { adoptCorrection, listLinks, readPost } from '../../src/server/services/post.ts';
import { cancelReservation, findCopies, reserveBook } from '../../src/server/services/reservations.ts';
import { findStops, readSendPage } from '../../src/server/services/sendPage.ts';
import { sendSession } from '../../src/server/services/sending.ts';
import { findSession, keepSession } from '../../src/server/services/sessions.ts';
import { findEntry, keepEntry, retireEntry } from '../../src/server/services/shelfEntries.ts';
import { frameNewTerm, keepTerm, listTerms, putPlannedOnBench, readTermPage } from '../../src/server/services/terms.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { helpersFor, readDemo, startProgrammes, type TestProgrammes } from './programme.ts';

/** Nothing an author or a home did gets lost. */
let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses, sendToAll, sessionNamed, reply } = helpersFor(() => at);

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

test('a session that has been sent and is moved in the term asks to be sent again', async () => {
  const { termId, benchId } = await plannedTerm();
  const { revision } = await findSession(at.owner, benchId);
  const homeIds = (await listHomes(at.owner)).homes.map(({ id }) => id);
  await sendSession(at.owner, { sessionId: benchId, homeIds, revision, address: 'https://homes.example' });
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
  const planned = new Map<string, number>();
  for (const [index, { token }] of links.entries()) {
    const { guide } = (await openGuide(token))!;
    const carts = guide.segments.find(({ from }) => from === 'carts-and-lids')!;
    const level = index % 2 === 0 ? 'easier' : 'right';
    const plan = carts.levels[level]!.minutes;
    planned.set(level, plan);
    await keepReply(
      token,
      reply({ parts: [{ segment: carts.id, minutes: String(plan * 1.5), ease: 'right', level }] }),
    );
  }
  assert.notEqual(planned.get('easier'), planned.get('right'));
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
  await markBook(token, false);
  assert.equal(await count(), 1);
  assert.equal((await openGuide(token))!.isWithoutBook, true);
  const { guide } = (await openGuide(token))!;
  assert.match(guide.books[0]!.retold!, /Nim/);
  await markBook(token, true);
  assert.equal(await count(), 0);
  await refuses(markBook(`x${token.slice(1)}`, false), 'not-found');
});

test('two editors of a book, a song, an activity or a thing see each other’s change', async () => {
  for (const [kind, key] of [
    ['book', 'nine-odd-socks'],
    ['song', 'carry-it-on'],
    ['activity', 'owl-steps'],
    ['thing', 'sock'],
  ] as const) {
    const { entry, revision } = await findEntry(at.owner, kind, key);
    await keepEntry(at.owner, { kind, value: entry, isNew: false, revision });
    await assert.rejects(
      keepEntry(at.owner, { kind, value: entry, isNew: false, revision }),
      (error: EdgeError) =>
        error.code === 'conflict' && (error.details.current as { revision: number }).revision === revision + 1,
      kind,
    );
    await refuses(keepEntry(at.owner, { kind, value: entry, isNew: false }), 'wrong-input');
  }
});

test('an import puts what it replaces at its next revision, so that an open form is told', async () => {
  const { entry, revision } = await findEntry(at.owner, 'song', 'slowly-rolling');
  await importFile(at.owner, readDemo('songs'));
  await refuses(keepEntry(at.owner, { kind: 'song', value: entry, isNew: false, revision }), 'conflict');
});

test('reservations belong to their dates: two terms are served, a cancelled one frees its copy', async () => {
  const free = (await findCopies('A parcel for Nim')).filter(({ isFree }) => isFree);
  assert.ok(free.length >= 2, 'the stand-in has two free copies');
  const [first, second] = free as [(typeof free)[number], (typeof free)[number]];
  const reserve = (copy: string, neededOn: string) =>
    reserveBook(at.owner, 'a-parcel-for-nim', { copy, neededOn, leadWorkingDays: '4' });
  await reserve(first.copy, '2027-03-18');
  await reserve(second.copy, '2027-05-06');
  const days = async () =>
    (await readBookPage(at.owner, 'a-parcel-for-nim'))!.reservations.map(({ neededOn }) => neededOn);
  assert.deepEqual(await days(), ['2027-03-18', '2027-05-06']);
  await refuses(reserve(first.copy, '2027-06-01'), 'wrong-input');
  await refuses(cancelReservation(at.owner, 'a-parcel-for-nim', '2027-06-01'), 'not-found');
  await cancelReservation(at.owner, 'a-parcel-for-nim', '2027-03-18');
  assert.deepEqual(await days(), ['2027-05-06']);
  const isFree = async (copy: string) =>
    (await findCopies('A parcel for Nim')).find((entry) => entry.copy === copy)!.isFree;
  assert.deepEqual([await isFree(first.copy), await isFree(second.copy)], [true, false]);
  // Another copy for the same day takes the place of the first, which is free again.
  await reserve(first.copy, '2027-05-06');
  assert.deepEqual([await isFree(first.copy), await isFree(second.copy)], [false, true]);
});

test('the same home, child or thing twice in a file is a sentence with its place', async () => {
  const file = readDemo('homes') as { homes: { nickname: string; children: object[]; things: object[] }[] };
  const problemsOf = async (homes: object[]) => {
    try {
      await importFile(at.owner, { ...file, homes });
    } catch (error) {
      return (error as EdgeError).details.problems!.map(({ path, message }) => `${path} ${message}`);
    }
    return [];
  };
  const [home] = file.homes as [(typeof file.homes)[number]];
  assert.deepEqual(await problemsOf([home, home]), [`homes[1].nickname “${home.nickname}” is already at homes[0]`]);
  assert.match(
    (await problemsOf([{ ...home, children: [home.children[0], home.children[0]] }]))[0]!,
    /^homes\[0\]\.children\[1\]\.nickname “.+” is already at homes\[0\]\.children\[0\]/,
  );
  assert.match(
    (await problemsOf([{ ...home, things: [home.things[0], home.things[0]] }]))[0]!,
    /^homes\[0\]\.things\[1\]\.item/,
  );
});

test('keys of any script are kept in file, form and database; the wrong ones are a sentence', async () => {
  const thing = { one: 'Frucht', many: 'Früchte', traits: ['countable'], allergens: [], usualQty: 3, common: 0.5 };
  for (const key of ['früchte', 'فصل', 'कहानी', '積み木-2']) {
    await importFile(at.owner, { format: 'footstool', version: 1, things: [{ ...thing, key }] });
    assert.equal((await findEntry(at.owner, 'thing', key)).entry.key, key);
  }
  for (const key of ['Früchte', 'fru\u0308chte', 'a b', 'a--b', '-a', 'a/b'])
    await refuses(
      importFile(at.owner, { format: 'footstool', version: 1, things: [{ ...thing, key }] }),
      'wrong-input',
    );
});

test('a colour of two words survives CSV', () => {
  const thing = {
    key: 'ball',
    one: 'ball',
    many: 'balls',
    traits: ['rolls'],
    colours: ['dark blue', 'red'],
    allergens: [],
    usualQty: 1,
    common: 0.5,
  };
  const read = readCsv(writeCsv([thing], 'thing'), 'thing');
  assert.ok(read.ok);
  assert.deepEqual(read.rows[0]!.value, thing);
});

test('what the bench lets an author send, the server sends: both ask the same checks', async () => {
  const kept = await sessionNamed('The cart with no wheels');
  const carts = kept.session.segments.findIndex(({ from }) => from === 'carts-and-lids');
  const withCarts = (change: object) => ({
    ...kept.session,
    segments: kept.session.segments.map((segment, index) => (index === carts ? { ...segment, ...change } : segment)),
  });
  const { things, homes } = await listHomes(at.owner);
  const dials = kept.session.segments[carts]!.dials;
  const lines = (text: string) => [{ id: 'x', kind: 'do' as const, text: `${text} {@boxes} {@lids} {@bowl}` }];
  // Comes out as it stands, though not at the far end of a dial: the bench lets it go, and so does the server.
  const sound = withCarts({ lines: lines('Share {=12/(boxes-2)} out.'), levels: {}, ahead: [], dials });
  assert.deepEqual(findStops(sound, homes, { things, person: at.owner }), []);
  const { revision } = await keepSession(at.owner, kept.id, { revision: kept.revision, session: sound });
  const [home] = homes;
  const send = (at2: number) =>
    sendSession(at.owner, { sessionId: kept.id, homeIds: [home!.id], revision: at2, address: 'https://homes.example' });
  assert.ok((await send(revision)).homes === 1);
  // Does not come out at a level that homes may choose: both stop it.
  const broken = withCarts({
    lines: lines('Share {=12/(boxes-2)} out.'),
    levels: { easier: { text: '', dials: { boxes: 2 } } },
    ahead: [],
    dials,
  });
  assert.equal(findStops(broken, homes, { things, person: at.owner }).length, 1);
  const later = await keepSession(at.owner, kept.id, { revision, session: broken });
  assert.equal((await readSendPage(at.owner, kept.id)).stops.length, 1);
  await refuses(send(later.revision), 'wrong-input');
  await keepSession(at.owner, kept.id, { revision: later.revision, session: kept.session });
});

test('a thing taken off the shelf keeps its name, its caution and its age limit wherever it is used', async () => {
  await retireEntry(at.owner, 'thing', 'bottle-lid', true);
  const { fits, things } = await readSendPage(at.owner, (await sessionNamed('The cart with no wheels')).id);
  assert.equal(things['bottle-lid']!.many, 'bottle lids');
  const toddler = fits.find(({ home }) => home.nickname === 'Blue door')!;
  assert.ok(toddler.parts.every(({ served }) => served.every(({ item }) => item !== 'bottle-lid')));
  const file = await exportFile(at.owner, { homes: true });
  assert.equal(
    (file.things as { key: string; retired?: boolean }[]).find(({ key }) => key === 'bottle-lid')!.retired,
    true,
  );
  await importFile(at.owner, file);
  assert.equal((await findEntry(at.owner, 'thing', 'bottle-lid')).isRetired, true);
  await retireEntry(at.owner, 'thing', 'bottle-lid', false);
});

test('a programme’s own rules and stricter ones hold in what homes get; a hidden one hides words and never a stop', async () => {
  const cautions = {
    own: [{ name: 'own-eggs', allergens: ['egg'], level: 'stop', words: 'No egg boxes in this house.' }],
    stricter: [{ rule: 'movement', level: 'hold' }],
    hidden: [
      { rule: 'movement', by: 'Ada', on: '2027-03-01', why: 'said at the door' },
      { rule: 'small-parts', by: 'Ada', on: '2027-03-01', why: 'everybody knows' },
    ],
  };
  await importFile(at.owner, { format: 'footstool', version: 1, programme: { cautions } });
  const { ProgrammeRow } = await import('../../src/server/db/models.ts');
  const row = await ProgrammeRow.findByPk(at.owner.programmeId);
  assert.deepEqual(row!.settings.cautions, cautions);
  const ruled = { ...at.owner, settings: row!.settings };
  const { fits } = await readSendPage(ruled, (await sessionNamed('The cart with no wheels')).id);
  assert.ok(fits.every(({ parts }) => parts.every(({ served }) => served.every(({ item }) => item !== 'egg-carton'))));
  const toddler = fits.find(({ home }) => home.nickname === 'Blue door')!;
  assert.ok(toddler.parts.every(({ served }) => served.every(({ item }) => item !== 'bottle-lid')));
  await refuses(
    importFile({ ...at.owner, role: 'author' }, { format: 'footstool', version: 1, programme: { cautions } }),
    'wrong-input',
  );
  await refuses(
    importFile(at.owner, {
      format: 'footstool',
      version: 1,
      programme: { cautions: { ...cautions, own: [{ ...cautions.own[0], allergens: ['eggs'] }] } },
    }),
    'wrong-input',
  );
});
