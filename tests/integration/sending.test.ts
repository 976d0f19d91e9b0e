import { onlyTo } from '../../src/contracts/audience.ts';
import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import type { Session } from '../../src/core/session/index.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { guideToken } from '../../src/server/http/secrets.ts';
import { readBench } from '../../src/server/services/benchPage.ts';
import { keepReply, openGuide } from '../../src/server/services/guides.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import { adoptCorrection } from '../../src/server/services/corrections.ts';
import { postWaiting } from '../../src/server/services/letters.ts';
import { readSendPage } from '../../src/server/services/sendPage.ts';
import { listPost, readPost } from '../../src/server/services/post.ts';
import { listLinks, readLink, revokeLink } from '../../src/server/services/postLinks.ts';
import { sendSession } from '../../src/server/services/sending.ts';
import { findSession, keepSession } from '../../src/server/services/sessions.ts';
import { putIntoSession, readShelfItemPage } from '../../src/server/services/shelfItem.ts';
import { readShelfRows } from '../../src/server/services/shelfPage.ts';
import { helpersFor, startProgrammes, type TestProgrammes, wrongToken } from './programme.ts';
import { demoFile } from '../support/demoFile.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());

const { sessionNamed, sendToAll, settleAll, reply, refuses, rows } = helpersFor(() => at);

test('each home gets a link of its own, stored only as a hash, in a letter in its language', async () => {
  const id = await sendToAll('The cart with no wheels');
  const links = await listLinks(at.owner, id);
  assert.equal(new Set(links.map(({ token }) => token)).size, 12);
  const stored = JSON.stringify(
    await Promise.all(['guide_links', 'guide_copies', 'messages'].map((table) => rows(`SELECT * FROM ${table}`))),
  );
  const letters = readdirSync(at.mailFolder).map((file) => readFileSync(join(at.mailFolder, file), 'utf8'));
  for (const { token } of links) {
    assert.equal(token.length, 43);
    assert.ok(!stored.includes(token));
    assert.ok((await openGuide(token))!.guide.segments.length > 3);
    assert.equal(letters.filter((letter) => letter.includes(`https://homes.example/g/${token}`)).length, 1);
  }
  assert.equal(letters.filter((letter) => letter.includes('Para ustedes')).length, 2);
});

test('the same reply is kept once, even when it arrives twice at the same time', async () => {
  const id = await sendToAll('A parcel for Nim');
  const [first, second] = await listLinks(at.owner, id);
  const form = reply({ note: 'Once.' });
  const kept = await Promise.all([
    keepReply(first!.token, form),
    keepReply(first!.token, form),
    keepReply(first!.token, form),
  ]);
  assert.deepEqual([...kept].sort(), ['kept', 'same', 'same']);
  assert.equal(await keepReply(first!.token, reply({ note: 'Again, otherwise.' })), 'changed');
  const notes = (await readPost(at.owner, id)).homes.flatMap((home) => (home.reply ? [home.reply.note] : []));
  assert.deepEqual(notes, ['Again, otherwise.']);
  await refuses(keepReply(wrongToken(second!.token), reply()), 'not-found');
});

test('a revoked link opens nothing and takes no reply; sending again makes another', async () => {
  const id = await sendToAll('Who is on the wall?');
  const { homes } = await readPost(at.owner, id);
  const token = guideToken(homes[0]!.linkId);
  await revokeLink(at.owner, homes[0]!.linkId);
  assert.equal(await openGuide(token), null);
  await refuses(keepReply(token, reply()), 'not-found');
  await sendToAll('Who is on the wall?');
  const renewed = (await listLinks(at.owner, id)).find(({ home }) => home === homes[0]!.home)!;
  assert.notEqual(renewed.token, token);
  assert.equal((await openGuide(renewed.token))!.earlier, null);
  assert.equal((await openGuide(guideToken(homes[1]!.linkId)))!.earlier, 1);
});

test('what homes saw stays as it was when the session changes afterwards', async () => {
  const kept = await sessionNamed('The cart with no wheels');
  const [link] = await listLinks(at.owner, kept.id);
  const before = JSON.stringify((await openGuide(link!.token))!.guide);
  await keepSession(at.owner, kept.id, {
    revision: kept.revision,
    session: { ...kept.session, title: 'Another title' },
  });
  assert.equal(JSON.stringify((await openGuide(link!.token))!.guide), before);
  const now = await findSession(at.owner, kept.id);
  await keepSession(at.owner, kept.id, {
    revision: now.revision,
    session: { ...now.session, title: kept.session.title },
  });
});

test('an older revision never overwrites a newer one', async () => {
  const kept = await sessionNamed('A parcel for Nim');
  const keep = (aim: string) =>
    keepSession(at.owner, kept.id, { revision: kept.revision, session: { ...kept.session, aim } });
  const results = await Promise.allSettled([keep('one'), keep('two'), keep('three')]);
  assert.equal(results.filter(({ status }) => status === 'fulfilled').length, 1);
  await refuses(keep('four'), 'conflict');
  assert.equal((await findSession(at.owner, kept.id)).revision, kept.revision + 1);
});

test('a session is not kept with a wrong dial, and is sent without a line that is not finished', async () => {
  const kept = await sessionNamed('A parcel for Nim');
  const change = (index: number, part: object): Session => ({
    ...kept.session,
    segments: kept.session.segments.map((segment, at) => (at === index ? { ...segment, ...part } : segment)),
  });
  const tea = kept.session.segments.findIndex(({ title }) => title === 'Tea for the letter carrier');
  const dial = kept.session.segments[tea]!.dials[0]!;
  await assert.rejects(
    keepSession(at.owner, kept.id, {
      revision: kept.revision,
      session: change(tea, { dials: [{ ...dial, value: 40 }] }),
    }),
    (error: EdgeError) =>
      error.details.problems?.[0]?.message ===
      'Tea for the letter carrier: “places at the table” goes from 2 to 8, so 40 was not taken.',
  );
  const broken = change(tea, { lines: [{ id: 'x', kind: 'do', text: 'Share {=12/(places-4)} out.' }] });
  const { revision } = await keepSession(at.owner, kept.id, { revision: kept.revision, session: broken });
  const { homes } = await listHomes(at.owner);
  const home = homes.find(({ language }) => language === 'en')!;
  await settleAll(kept.id);
  await sendSession(at.owner, {
    sessionId: kept.id,
    audience: onlyTo([home.id]),
    revision,
    address: 'https://homes.example',
  });
  const link = (await listLinks(at.owner, kept.id)).find((one) => one.home === home.nickname)!;
  const { guide } = (await openGuide(link.token))!;
  assert.deepEqual(guide.segments[tea]!.levels.right!.lines, []);
  await keepSession(at.owner, kept.id, { revision, session: kept.session });
});

test('an empty session is not sent', async () => {
  const kept = await sessionNamed('A parcel for Nim');
  const emptied = await keepSession(at.owner, kept.id, {
    revision: kept.revision,
    session: { ...kept.session, segments: [] },
  });
  await refuses(sendToAll('A parcel for Nim'), 'wrong-input');
  await keepSession(at.owner, kept.id, { revision: emptied.revision, session: kept.session });
});

test('a group activity is not sent to homes', async () => {
  const kept = await sessionNamed('A parcel for Nim');
  await putIntoSession(at.owner, { kind: 'activity', key: 'weather-blanket', sessionId: kept.id });
  await refuses(sendToAll('A parcel for Nim'), 'wrong-input');
  const now = await findSession(at.owner, kept.id);
  await keepSession(at.owner, kept.id, {
    revision: now.revision,
    session: { ...now.session, segments: now.session.segments.filter(({ size }) => size === 'home') },
  });
});

test('answers correct the minutes once, and are not offered twice', async () => {
  const id = await sendToAll('The cart with no wheels');
  for (const { token } of await listLinks(at.owner, id)) {
    const { guide } = (await openGuide(token))!;
    const segment = guide.segments.find(({ from }) => from === 'carts-and-lids')!;
    await keepReply(token, reply({ parts: [{ segment: segment.id, minutes: '16', ease: 'right' }] }));
  }
  const [correction] = (await readPost(at.owner, id)).corrections;
  assert.equal(correction?.homes, 12);
  assert.ok(correction.likely > correction.planned && correction.likely < 16);
  await refuses(adoptCorrection(at.reader, 'carts-and-lids'), 'not-allowed');
  await adoptCorrection(at.owner, 'carts-and-lids');
  assert.deepEqual((await readPost(at.owner, id)).corrections, []);
});

test('a stranger sees and changes nothing of another programme', async () => {
  const kept = await sessionNamed('The cart with no wheels');
  const [home] = (await listHomes(at.owner)).homes;
  const linkId = (await readPost(at.owner, kept.id)).homes[0]!.linkId;
  await refuses(findSession(at.stranger, kept.id), 'not-found');
  await refuses(readBench(at.stranger, kept.id), 'not-found');
  await refuses(keepSession(at.stranger, kept.id, { revision: kept.revision, session: kept.session }), 'not-found');
  await refuses(
    sendSession(at.stranger, {
      sessionId: kept.id,
      audience: onlyTo([home!.id]),
      revision: 1,
      address: 'https://x.example',
    }),
    'not-found',
  );
  const notTheirs = { sessionId: kept.id, audience: onlyTo(['00000000-0000-4000-8000-000000000001']), address: '' };
  await refuses(sendSession(at.owner, { ...notTheirs, revision: kept.revision }), 'wrong-input');
  await refuses(readPost(at.stranger, kept.id), 'not-found');
  await refuses(readLink(at.stranger, linkId), 'not-found');
  await refuses(revokeLink(at.stranger, linkId), 'not-found');
  await refuses(adoptCorrection(at.stranger, 'carts-and-lids'), 'not-found');
  await refuses(readShelfItemPage(at.stranger, 'activity', 'carts-and-lids'), 'not-found');
  await refuses(putIntoSession(at.stranger, { kind: 'activity', key: 'owl-steps', sessionId: kept.id }), 'not-found');
  assert.deepEqual(
    [
      (await listPost(at.stranger.programmeId)).length,
      (await listHomes(at.stranger)).homes.length,
      (await readShelfRows(at.stranger, 'activity')).total,
    ],
    [0, 0, 0],
  );
});

test('somebody who reads changes nothing', async () => {
  const kept = await sessionNamed('The cart with no wheels');
  const linkId = (await readPost(at.reader, kept.id)).homes[0]!.linkId;
  await refuses(keepSession(at.reader, kept.id, { revision: kept.revision, session: kept.session }), 'not-allowed');
  await refuses(
    sendSession(at.reader, { sessionId: kept.id, audience: onlyTo([]), revision: kept.revision, address: '' }),
    'not-allowed',
  );
  await refuses(revokeLink(at.reader, linkId), 'not-allowed');
  await refuses(importFile(at.reader, demoFile('things')), 'not-allowed');
});

test('sent again it goes to those whose guide has changed and who have not answered, and the letter says what changed', async () => {
  const id = await sendToAll('Who is on the wall?');
  const links = await listLinks(at.owner, id);
  const [answered, other] = links;
  await keepReply(answered!.token, reply({ note: 'Nice.' }));
  const kept = (await findSession(at.owner, id)).session;
  const session = {
    ...kept,
    segments: kept.segments.map((segment, index) => (index === 1 ? { ...segment, title: 'On the wall' } : segment)),
  };
  const { revision } = await findSession(at.owner, id);
  await keepSession(at.owner, id, { revision, session });
  const page = await readSendPage(at.owner, id);
  assert.equal(page.audience.to, 'unanswered');
  assert.equal(page.ticked.size, links.length - 1);
  await settleAll(id);
  const edition = async (token: string) => (await openGuide(token))!.edition;
  const before = [await edition(answered!.token), await edition(other!.token)];
  const send = async () =>
    sendSession(at.owner, {
      sessionId: id,
      audience: { to: 'unanswered', except: [], also: [] },
      revision: (await findSession(at.owner, id)).revision,
      address: 'https://homes.example',
    });
  await send();
  assert.deepEqual([await edition(answered!.token), await edition(other!.token)], [before[0], before[1]! + 1]);
  await postWaiting();
  const letters = readdirSync(at.mailFolder).map((name) => readFileSync(join(at.mailFolder, name), 'utf8'));
  assert.ok(letters.some((letter) => /Changed: Who is on the wall/.test(letter) && /something in/.test(letter)));
  await send();
  assert.equal(await edition(other!.token), before[1]! + 1, 'the same once more goes to nobody');
});
