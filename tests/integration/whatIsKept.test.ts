import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { database } from '../../src/server/db/connection.ts';
import { changeSettings } from '../../src/server/services/programme.ts';
import {
  askToForget,
  findToForget,
  forgetByLink,
  forgetHome,
  forgetWhatIsOver,
  readKept,
} from '../../src/server/services/forgetting.ts';
import { keepReply, openGuide } from '../../src/server/services/guides.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { postWaiting } from '../../src/server/services/letters.ts';
import { guideToken } from '../../src/server/http/secrets.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => (at = await startProgrammes()));
after(() => at.remove());
const { sendToAll, reply, refuses, rows } = helpersFor(() => at);
const address = 'https://homes.example';

const homeCalled = async (name: string) => (await listHomes(at.owner)).homes.find(({ nickname }) => nickname === name)!;
const tokenOf = async (homeId: string) => {
  const [link] = await rows<{ id: string }>(
    `SELECT id FROM guide_links WHERE home_id = '${homeId}' AND revoked_at IS NULL LIMIT 1`,
  );
  return guideToken(link!.id);
};
const lettersNaming = (text: string) =>
  readdirSync(at.mailFolder).filter((name) => readFileSync(join(at.mailFolder, name), 'utf8').includes(text));

/** How many rows anywhere still belong to a home. */
async function rowsOf(homeId: string): Promise<number> {
  const [row] = await rows<{ count: number }>(
    `SELECT ((SELECT count(*) FROM homes WHERE id = '${homeId}') + (SELECT count(*) FROM children WHERE home_id = '${homeId}')
           + (SELECT count(*) FROM home_things WHERE home_id = '${homeId}') + (SELECT count(*) FROM guide_links WHERE home_id = '${homeId}')
           + (SELECT count(*) FROM guide_copies WHERE guide ->> 'home' IN (SELECT nickname FROM homes WHERE id = '${homeId}'))
           + (SELECT count(*) FROM person_links WHERE home_id = '${homeId}') + (SELECT count(*) FROM word_readings WHERE home_id = '${homeId}'))::int AS count`,
  );
  return row!.count;
}

test('a guide’s link deletes nothing; a second link, sent to the home’s own address, deletes everything once', async () => {
  await sendToAll('A parcel for Nim');
  const home = await homeCalled('Corner house');
  const token = await tokenOf(home.id);
  assert.equal((await readKept(token))!.nickname, 'Corner house');
  await keepReply(token, reply({ note: 'Under the table.' }));
  await refuses(forgetByLink(token), 'not-found');
  assert.equal(await findToForget(token), null);

  const before = lettersNaming('/forget/').length;
  for (let press = 0; press < 6; press++) await askToForget(token, address);
  await postWaiting();
  const letters = lettersNaming('/forget/');
  assert.equal(letters.length - before, 3, 'however often it is asked for');
  const letter = readFileSync(join(at.mailFolder, letters.at(-1)!), 'utf8');
  assert.ok(letter.includes(home.contact));
  const second = /\/forget\/([A-Za-z0-9_-]{43})/.exec(letter)![1]!;
  assert.equal((await findToForget(second))!.nickname, 'Corner house');
  assert.equal(await openGuide(second), null, 'it opens no guide');
  assert.ok(lettersNaming(home.contact).length > 3);

  await forgetByLink(second);
  assert.equal(await rowsOf(home.id), 0);
  assert.equal(await openGuide(token), null);
  assert.deepEqual(lettersNaming(home.contact), []);
  await refuses(forgetByLink(second), 'not-found');
  await refuses(askToForget(token, address), 'not-found');
});

test('an author deletes a home for good; a reader and a stranger do not; another home keeps everything', async () => {
  const [home, other] = [await homeCalled('Blue door'), await homeCalled('Red gate')];
  const kept = await rowsOf(other.id);
  await refuses(forgetHome(at.reader, home.id), 'not-allowed');
  await refuses(forgetHome(at.stranger, home.id), 'not-found');
  await refuses(forgetHome(at.owner, 'no-home'), 'not-found');
  await forgetHome(at.owner, home.id);
  assert.equal(await rowsOf(home.id), 0);
  assert.equal(await rowsOf(other.id), kept);
  assert.ok(await openGuide(await tokenOf(other.id)));
});

test('guides and answers go by themselves twelve months after their term, or sooner where a programme says so', async () => {
  const home = await homeCalled('Red gate');
  const token = await tokenOf(home.id);
  await keepReply(token, reply({ note: 'Again tomorrow.' }));
  // The session is on 18 March 2027, in no term here.
  const onDay = async (day: string) => {
    const was = process.env.FOOTSTOOL_NOW;
    process.env.FOOTSTOOL_NOW = `${day}T09:00:00Z`;
    try {
      return await forgetWhatIsOver();
    } finally {
      process.env.FOOTSTOOL_NOW = was;
    }
  };
  assert.equal(await onDay('2028-03-18'), 0);
  await changeSettings(at.owner, (settings) => ({ ...settings, keepMonths: 3 }));
  assert.equal((await readKept(token))!.keepMonths, 3);
  assert.equal(await onDay('2027-06-18'), 0);
  assert.ok(await openGuide(token));
  // Sent again later, as an old session may be, it is kept from then on.
  const sentOn = (day: string) => database().query(`UPDATE sendings SET sent_at = '${day}T09:00:00Z'`);
  await sentOn('2027-06-10');
  assert.equal(await onDay('2027-06-19'), 0);
  await sentOn('2027-03-08');
  assert.equal(await onDay('2027-06-19'), 1);
  assert.equal(await openGuide(token), null);
  const [left] = await rows<{ count: number }>(
    'SELECT ((SELECT count(*) FROM replies) + (SELECT count(*) FROM guide_copies) + (SELECT count(*) FROM guide_links))::int AS count',
  );
  assert.equal(left!.count, 0);
  assert.deepEqual(lettersNaming(home.contact), []);
  assert.equal((await homeCalled('Red gate')).id, home.id);
});
