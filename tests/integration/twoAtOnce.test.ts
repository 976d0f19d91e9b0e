import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { withOwnIds } from '../../src/core/session/session.ts';
import { database } from '../../src/server/db/connection.ts';
import type { EdgeError } from '../../src/server/http/errors.ts';
import { keepReply, openGuide } from '../../src/server/services/guides.ts';
import { exportFile } from '../../src/server/services/exportShelf.ts';
import { findHome, keepHome, listHomes } from '../../src/server/services/homes.ts';
import { HERE } from '../../src/server/services/beside.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { findEntry, keepEntry } from '../../src/server/services/shelfEntries.ts';
import { findSession, keepSession } from '../../src/server/services/sessions.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';
import { demoFile } from '../support/demoFile.ts';

/** Two who work on the same thing at once, or one whose press arrives late: nobody’s words are lost unseen. */
let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { sendToAll, sessionNamed, reply, refuses, rows } = helpersFor(() => at);

const homeNamed = async (nickname: string) =>
  (await listHomes(at.owner)).homes.find((home) => home.nickname === nickname)!;

test('an import raises the revision of homes, and an open form that is saved after it is told', async () => {
  const { id } = await homeNamed('Blue door');
  const { home, revision } = await findHome(at.owner, id);
  const file = demoFile('homes') as { homes: { nickname: string; allergens: string[] }[] };
  const entry = file.homes.find(({ nickname }) => nickname === 'Blue door')!;
  await importFile(at.owner, { ...file, homes: [{ ...entry, allergens: ['sesame'] }] });
  await assert.rejects(
    keepHome(at.owner, id, { home: { ...home, contact: 'new@homes.example' }, revision }),
    (error: EdgeError) => {
      const current = error.details.current as { home: { allergens: string[] }; revision: number };
      return (
        error.code === 'conflict' && current.revision === revision + 1 && current.home.allergens.includes('sesame')
      );
    },
  );
  assert.ok((await homeNamed('Blue door')).allergens.includes('sesame'));
});

test('a file that does not name a known allergy does not take it away, and the report says so', async () => {
  const { id } = await homeNamed('Red gate');
  const { home, revision } = await findHome(at.owner, id);
  await keepHome(at.owner, id, { home: { ...home, allergens: ['peanuts', 'egg'] }, revision });
  const file = demoFile('homes') as { homes: { nickname: string }[] };
  const entry = file.homes.find(({ nickname }) => nickname === 'Red gate')!;
  const report = await importFile(at.owner, { ...file, homes: [{ ...entry, allergens: ['egg'] }] });
  assert.deepEqual(report.keptAllergies, [{ home: 'Red gate', allergen: 'peanuts' }]);
  assert.deepEqual([...(await homeNamed('Red gate')).allergens].sort(), ['egg', 'peanuts']);
});

test('a file is checked beside the pages only, and once more where the shelf has changed meanwhile', async (context) => {
  const here = context.mock.method(HERE, 'checkFile');
  const file = demoFile('homes');
  const known: number[] = [];
  const checking = (meanwhile: () => Promise<unknown>) => ({
    ...HERE,
    checkFile: async (_content: unknown, things: readonly unknown[]) => {
      if (known.push(things.length) === 1) await meanwhile();
      return [];
    },
  });
  await importFile(
    at.owner,
    file,
    checking(() => Promise.resolve()),
  );
  assert.equal(known.length, 1);
  known.length = 0;
  const { entry } = await findEntry(at.owner, 'thing', 'sock');
  const value = { ...entry, key: 'towel-rail', one: 'towel rail', many: 'towel rails' };
  await importFile(
    at.owner,
    file,
    checking(() => keepEntry(at.owner, { kind: 'thing', value, isNew: true })),
  );
  assert.deepEqual(
    known.map((count) => count - known[0]!),
    [0, 1],
  );
  assert.equal(here.mock.callCount(), 0);
});

test('two parts with one id are refused, and those that were kept before get ids of their own', async () => {
  const kept = await sessionNamed('A parcel for Nim');
  const [first, second] = kept.session.segments as [
    (typeof kept.session.segments)[0],
    (typeof kept.session.segments)[0],
  ];
  const twice = { ...kept.session, segments: [first, { ...second, id: first.id }] };
  await assert.rejects(
    keepSession(at.owner, kept.id, { revision: kept.revision, session: twice }),
    (error: EdgeError) => /each have an id of their own/.test(error.details.problems?.[0]?.message ?? ''),
  );
  await database().query('UPDATE sessions SET script = CAST(:script AS jsonb) WHERE id = :id', {
    replacements: { id: kept.id, script: JSON.stringify({ segments: twice.segments, accepted: [] }) },
  });
  const mended = (await findSession(at.owner, kept.id)).session.segments;
  assert.deepEqual(
    mended.map(({ id }) => id),
    [first.id, `${first.id}-2`],
  );
  assert.deepEqual(
    withOwnIds([...mended, { ...first }, { ...first }]).map(({ id }) => id),
    [...[first.id, `${first.id}-2`, `${first.id}-3`, `${first.id}-4`]],
  );
  await database().query('UPDATE sessions SET script = CAST(:script AS jsonb) WHERE id = :id', {
    replacements: { id: kept.id, script: JSON.stringify({ segments: kept.session.segments, accepted: [] }) },
  });
});

test('a guide that was sent with two parts of one id takes answers all the same', async () => {
  const sessionId = await sendToAll('Who is on the wall?');
  const { token } = (await listLinks(at.owner, sessionId))[0]!;
  const opened = (await openGuide(token))!;
  const parts = opened.guide.segments.map((segment) => ({ ...segment, id: opened.guide.segments[0]!.id }));
  await database().query('UPDATE guide_copies SET guide = CAST(:guide AS jsonb) WHERE link_id = :id', {
    replacements: { id: opened.linkId, guide: JSON.stringify({ ...opened.guide, segments: parts }) },
  });
  const form = reply({ parts: parts.map(({ id }) => ({ segment: id, minutes: '7', ease: 'right' })) });
  assert.equal(await keepReply(token, form), 'kept');
});

test('an answer counts under the edition its form stood in, and a late press of a corrected one changes nothing', async () => {
  const sessionId = await sendToAll('A parcel for Nim');
  const { token } = (await listLinks(at.owner, sessionId))[1]!;
  const first = (await openGuide(token))!;
  await sendToAll('A parcel for Nim');
  assert.equal((await openGuide(token))!.edition, first.edition + 1);
  const form = reply({ edition: first.edition, key: 'first-press', note: 'The van went under the sofa.' });
  assert.equal(await keepReply(token, form), 'kept');
  const editionOf = async () =>
    (await rows<{ edition: number }>(`SELECT edition FROM replies WHERE link_id = '${first.linkId}'`))[0]!.edition;
  assert.equal(await editionOf(), first.edition);
  const answered = (await openGuide(token))!.reply!.repliedAt.toISOString();
  const correction = reply({ edition: first.edition + 1, key: 'second', answered, note: 'Under the bed, in fact.' });
  assert.equal(await keepReply(token, correction), 'changed');
  assert.equal(await editionOf(), first.edition + 1);
  assert.equal(await keepReply(token, form), 'same', 'the first press again, late');
  assert.equal((await openGuide(token))!.reply!.note, 'Under the bed, in fact.');
  await refuses(keepReply('x'.repeat(43), form), 'not-found');
});

test('what a home said it has not comes back from file, form and export, and is nothing it has', async () => {
  const file = demoFile('homes') as {
    homes: { nickname: string; things: { item: string; qty: number }[]; hasNot?: string[] }[];
  };
  const entry = file.homes.find(({ nickname }) => nickname === 'Corner house')!;
  const things = entry.things.filter(({ item }) => item !== 'sock');
  await importFile(at.owner, { ...file, homes: [{ ...entry, things, hasNot: ['sock'] }] });
  const kept = await homeNamed('Corner house');
  assert.deepEqual([kept.hasNot, kept.stock.some(({ item }) => item === 'sock')], [['sock'], false]);
  const { home, revision } = await findHome(at.owner, kept.id);
  await keepHome(at.owner, kept.id, { home, revision });
  const saved = (await exportFile(at.owner, { homes: true })) as unknown as typeof file;
  assert.deepEqual(saved.homes.find(({ nickname }) => nickname === 'Corner house')!.hasNot, ['sock']);
  const both = [...things, { item: 'sock', qty: 2 }];
  await refuses(
    importFile(at.owner, { ...file, homes: [{ ...entry, things: both, hasNot: ['sock'] }] }),
    'wrong-input',
  );
});
