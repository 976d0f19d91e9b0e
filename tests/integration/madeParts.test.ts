import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { keepReply, openGuide } from '../../src/server/services/guides.ts';
import { adoptMakerCorrection } from '../../src/server/services/makerCorrections.ts';
import { putMadeIntoSession, startValues } from '../../src/server/services/makersPage.ts';
import { readPost } from '../../src/server/services/post.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { keepProgramme } from '../../src/server/services/programme.ts';
import { findSession, keepSession } from '../../src/server/services/sessions.ts';
import { findMaker } from '../../src/makers/index.ts';
import { database } from '../../src/server/db/connection.ts';
import { up as idsOfChoices } from '../../src/server/db/migrations/0009-ids-of-choices.ts';
import { USUAL_SETTINGS } from '../../src/core/session/index.ts';
import { programmeSettings } from '../../src/contracts/programme.ts';
import { findProgramme } from '../../src/server/db/repositories/programmes.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { sessionNamed, sendToAll, reply, refuses } = helpersFor(() => at);
const TITLE = 'A parcel for Nim';

/** The session with these parts alone, straight from makers as they start. */
async function sessionOf(makers: readonly string[]): Promise<string> {
  const kept = await sessionNamed(TITLE);
  await keepSession(at.owner, kept.id, { revision: kept.revision, session: { ...kept.session, segments: [] } });
  const person = await withSettings();
  for (const id of makers) await putMadeIntoSession(person, { id, sessionId: kept.id, written: {} });
  return kept.id;
}

const withSettings = async () => {
  const { settings, revision } = (await findProgramme(at.owner.programmeId))!;
  return { ...at.owner, settings, settingsRevision: revision };
};

test('each maker of a run has its picture in a guide, with the same in words', async () => {
  const makers = ['number-row', 'sorting-set', 'order-row', 'numeral-page', 'balance-table', 'basket-for-the-week']
    .concat(['story-sums', 'arrivals', 'kitchen', 'act-it-out', 'writing', 'shapes', 'craft', 'bracelet'])
    .concat(['counting-song', 'week-strip', 'chart', 'game']);
  const seen = new Map<string, string>();
  for (const some of [makers.slice(0, 9), makers.slice(9)]) {
    const id = await sessionOf(some);
    await sendToAll(TITLE);
    for (const { token } of await listLinks(at.owner, id))
      for (const { from, picture } of (await openGuide(token))!.guide.segments)
        if (picture && from) seen.set(from.split(':')[1]!, `${picture.drawing.shapes.length} ${picture.words}`);
  }
  assert.deepEqual(
    makers.filter((maker) => !/^[1-9]\d* \S.{15,}\.$/.test(seen.get(maker) ?? '')),
    [],
  );
});

test('answers correct a maker’s minutes for that way of running it, once, and only in that programme', async () => {
  const id = await sessionOf(['pair-cards']);
  const [planned] = (await findSession(at.owner, id)).session.segments;
  await sendToAll(TITLE);
  for (const { token } of await listLinks(at.owner, id)) {
    const segment = (await openGuide(token))!.guide.segments.find(({ from }) => from?.startsWith('maker:pair-cards'));
    if (segment) await keepReply(token, reply({ parts: [{ segment: segment.id, minutes: '20', ease: 'right' }] }));
  }
  const person = await withSettings();
  const [correction] = (await readPost(person, id)).corrections;
  assert.equal(correction?.title, 'Pair cards, sitting');
  assert.ok(correction.homes > 3 && correction.likely > correction.planned && correction.likely < 20);
  await refuses(adoptMakerCorrection(at.reader, correction.key), 'not-allowed');
  await refuses(adoptMakerCorrection(at.stranger, correction.key), 'not-found');
  await refuses(adoptMakerCorrection(at.owner, 'maker:pair-cards:moving-about'), 'not-found');
  const twice = await Promise.allSettled([
    adoptMakerCorrection(person, correction.key),
    adoptMakerCorrection(person, correction.key),
  ]);
  assert.deepEqual(twice.map(({ status }) => status).sort(), ['fulfilled', 'rejected']);
  assert.deepEqual((await readPost(await withSettings(), id)).corrections, []);
  await sessionOf(['pair-cards']);
  const [again] = (await findSession(at.owner, id)).session.segments;
  const likely = (segment: typeof again) => Number(segment!.minutes.together[1]);
  assert.ok(Math.abs(likely(again) - likely(planned) * correction.factor) <= 0.06);
  assert.equal(again!.made!.paces?.sitting, correction.factor);
  // Settings that an owner keeps afterwards leave it.
  const form = new URLSearchParams({
    screens: 'listen',
    wordsAtOnce: '5',
    restAfter: '3',
    wordsKeptBy: 'author',
    closed: '',
    seatedMinutesPerYear: '3',
    sendWorkingDays: '2',
    paper: 'a4',
    currency: 'pence',
    stage: 'objects',
    school: 'hands-first',
    youngerSeconds: '30',
    youngerMisses: '10',
    olderSeconds: '9',
  });
  const kept = await keepProgramme(await withSettings(), form);
  assert.equal(kept.makerPaces[correction.key]?.factor, correction.factor);
  assert.deepEqual([kept.numbers.youngerSeconds, kept.numbers.youngerMisses], [30, 10]);
  form.set('youngerMisses', '95');
  await refuses(keepProgramme(await withSettings(), form), 'wrong-input');
});

test('answers and corrections that were kept under words for how a part is run are kept under ids', async () => {
  const id = await sessionOf(['pair-cards']);
  await sendToAll(TITLE);
  const { token } = (await listLinks(at.owner, id))[0]!;
  const [segment] = (await openGuide(token))!.guide.segments.filter(({ from }) => from?.startsWith('maker:'));
  await keepReply(token, reply({ parts: [{ segment: segment!.id, minutes: '20', ease: 'right' }] }));
  const queries = { sequelize: database() };
  const run = (sql: string) => queries.sequelize.query(sql);
  const pace = '{"factor": 1.5, "last": 1.5, "at": "2027-01-01T00:00:00.000Z"}';
  await run(`UPDATE reply_parts SET shelf_key = 'maker:pair-cards:two children' WHERE shelf_key LIKE 'maker:%'`);
  await run(
    `UPDATE programmes SET settings = jsonb_set(settings, '{makerPaces}', '{"maker:frame:five minutes": ${pace}}')`,
  );
  await idsOfChoices(queries);
  await idsOfChoices(queries);
  const [keys] = await run(`SELECT DISTINCT shelf_key FROM reply_parts WHERE shelf_key LIKE 'maker:%'`);
  assert.deepEqual(keys, [{ shelf_key: 'maker:pair-cards:two-children' }]);
  const { settings } = await withSettings();
  assert.deepEqual(Object.keys(settings.makerPaces), ['maker:frame:five-minutes']);
  assert.equal(settings.makerPaces['maker:frame:five-minutes']?.factor, 1.5);
});

test('every document that is stored says the version of its shape', async () => {
  const documents = {
    shelf_items: 'body',
    sessions: 'script',
    sendings: 'session',
    guide_copies: 'guide',
  };
  for (const [table, document] of Object.entries(documents)) {
    const [[counts]] = (await database().query(
      `SELECT count(*)::int AS stored, count(${document}->'contentVersion')::int AS versioned FROM ${table}`,
    )) as unknown as [[{ stored: number; versioned: number }]];
    assert.ok(counts.stored > 0 && counts.versioned === counts.stored, `${table}: ${JSON.stringify(counts)}`);
  }
});

test('a maker’s room starts from the values its address says, where the maker takes them', () => {
  const arrivals = findMaker('arrivals')!;
  const start = (query: string) => startValues(arrivals, new URLSearchParams(query), USUAL_SETTINGS);
  assert.equal(start('guests=2+0+3').guests, '2 0 3');
  assert.equal(start('variant=two+children').variant, 'two-children', 'an address from before choices had ids');
  for (const query of ['guests=x', 'guests=', `guests=${'9 '.repeat(99)}`, 'variant=hasOwnProperty', '__proto__=1'])
    assert.equal(start(query).guests, '1 2 1 3', query);
});

test('corrections that were kept by hand and do not fit are refused', () => {
  const takes = (makerPaces: object) =>
    programmeSettings.isValidSync({ ...programmeSettings.getDefault(), makerPaces });
  const at = '2027-01-01T00:00:00.000Z';
  assert.ok(takes({ 'maker:frame:sitting': { factor: 1.2, last: 1.2, at } }));
  assert.ok(!takes({ 'maker:frame:sitting': { factor: 0, last: 1, at } }));
  assert.ok(!takes({ frame: { factor: 1, last: 1, at } }));
  assert.ok(!takes({ 'maker:frame:sitting': { factor: 1, last: 1, at: 'soon' } }));
});
