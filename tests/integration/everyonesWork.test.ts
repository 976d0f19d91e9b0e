import { database } from '../../src/server/db/connection.ts';
import { onlyTo } from '../../src/contracts/audience.ts';
import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { readCsv, writeCsv } from '../../src/contracts/csvEntries.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { readBookPage } from '../../src/server/services/bookPage.ts';
import { exportFile } from '../../src/server/services/exportShelf.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import {
  cancelReservation,
  endPastReservations,
  findCopies,
  reserveBook,
} from '../../src/server/services/reservations.ts';
import { findStops, fitInSlices, readSendPage } from '../../src/server/services/sendPage.ts';
import { sendSession } from '../../src/server/services/sending.ts';
import { keepSession } from '../../src/server/services/sessions.ts';
import { findEntry, keepEntry, retireEntry } from '../../src/server/services/shelfEntries.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';
import { demoFile } from '../support/demoFile.ts';

/** What two editors, two terms, a file and a home each did stays theirs, and safe. */
let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses, sessionNamed } = helpersFor(() => at);

test('two editors of a book, a song, an activity or a thing see each other’s change', async () => {
  for (const [kind, key] of [
    ['book', 'nine-odd-socks'],
    ['song', 'carry-it-on'],
    ['activity', 'owl-steps'],
    ['thing', 'sock'],
  ] as const) {
    const { entry, revision } = await findEntry(at.owner, kind, key);
    await keepEntry(at.owner, { kind, value: entry, isNew: false, revision });
    // The same save that arrives again, its first answer lost, is no conflict with oneself.
    await keepEntry(at.owner, { kind, value: entry, isNew: false, revision });
    const changed = kind === 'thing' ? { ...entry, traits: ['soft'] } : { ...entry, skills: [] };
    await assert.rejects(
      keepEntry(at.owner, { kind, value: changed, isNew: false, revision }),
      (error: EdgeError) =>
        error.code === 'conflict' && (error.details.current as { revision: number }).revision === revision + 1,
      kind,
    );
    await refuses(keepEntry(at.owner, { kind, value: entry, isNew: false }), 'wrong-input');
  }
});

test('an import puts what it replaces at its next revision, so that an open form is told', async () => {
  const { entry, revision } = await findEntry(at.owner, 'song', 'slowly-rolling');
  await importFile(at.owner, demoFile('songs'));
  const changed = { ...entry, title: 'Slowly, slowly rolling' };
  await refuses(keepEntry(at.owner, { kind: 'song', value: changed, isNew: false, revision }), 'conflict');
});

test('reservations belong to their dates: two terms are served, a cancelled one frees its copy', async () => {
  const free = (await findCopies('A parcel for Nim')).filter(({ isFree }) => isFree);
  assert.ok(free.length >= 2, 'the stand-in has two free copies');
  const [first, second] = free as [(typeof free)[number], (typeof free)[number]];
  const [third] = (await findCopies('')).filter(({ isFree, title }) => isFree && title !== 'A parcel for Nim');
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
  // The one that stands is let go of last: a copy that is not to be had leaves it as it was.
  await reserve(second.copy, '2027-04-01');
  await refuses(reserve(second.copy, '2027-05-06'), 'wrong-input');
  assert.deepEqual([await days(), await isFree(first.copy)], [['2027-04-01', '2027-05-06'], false]);
  const others = await Promise.allSettled([reserve(third!.copy, '2027-04-08'), reserve(third!.copy, '2027-04-15')]);
  assert.deepEqual(others.map(({ status }) => status).sort(), ['fulfilled', 'rejected'], 'a copy goes to one');
  // A week after its day a reservation ends by itself, and its copy is free.
  await database().query(`UPDATE reservations SET needed_on = needed_on - 60 WHERE needed_on <> '2027-05-06'`);
  await database().query(`UPDATE catalogue_reserved SET reserved_at = reserved_at - interval '2 hours'`);
  assert.equal(await endPastReservations(), 2);
  assert.deepEqual([await days(), await isFree(second.copy), await isFree(first.copy)], [['2027-05-06'], true, false]);
});

test('the same home, child or thing twice in a file is a sentence with its place', async () => {
  const file = demoFile('homes') as { homes: { nickname: string; children: object[]; things: object[] }[] };
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
  assert.deepEqual(findStops(sound, await fitInSlices(sound, homes, { things }), { things, person: at.owner }), []);
  const { revision } = await keepSession(at.owner, kept.id, { revision: kept.revision, session: sound });
  const [home] = homes;
  const send = (at2: number) =>
    sendSession(at.owner, {
      sessionId: kept.id,
      audience: onlyTo([home!.id]),
      revision: at2,
      address: 'https://homes.example',
    });
  assert.ok((await send(revision)).homes === 1);
  // Does not come out at a level that homes may choose: both stop it.
  const broken = withCarts({
    lines: lines('Share {=12/(boxes-2)} out.'),
    levels: { easier: { text: '', dials: { boxes: 2 } } },
    ahead: [],
    dials,
  });
  assert.equal(findStops(broken, await fitInSlices(broken, homes, { things }), { things, person: at.owner }).length, 1);
  const later = await keepSession(at.owner, kept.id, { revision, session: broken });
  assert.equal((await readSendPage(at.owner, kept.id)).stops.length, 1);
  await refuses(send(later.revision), 'wrong-input');
  await keepSession(at.owner, kept.id, { revision: later.revision, session: kept.session });
});

test('a thing removed from the shelf keeps its name, its caution and its age limit wherever it is used', async () => {
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
