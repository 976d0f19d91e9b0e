import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { countingQueries } from '../../src/server/db/connection.ts';
import { findHome, keepHome, listHomes } from '../../src/server/services/homes.ts';
import { openGuide } from '../../src/server/services/guides.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { readChildWords, readWordsOfHome, tapWord, tapWordAtHome } from '../../src/server/services/knownWords.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

const TODAY = '2027-03-08';
let at: TestProgrammes;
let home: string;
let child: string;
before(async () => {
  at = await startProgrammes();
  const { homes } = await listHomes(at.owner);
  const first = homes.find(({ children }) => children[0] && children[0].birthMonth < '2022-10')!;
  [home, child] = [first.id, first.children[0]!.nickname];
});
after(() => at.remove());
const { refuses, sendToAll, rows } = helpersFor(() => at);

const words = async (on?: string) =>
  (await readChildWords(at.owner, home, on)).children.find((known) => known.child === child)!;
const tap = (word: string, read: string, on?: string) =>
  tapWord(at.owner, home, { child, word, read, ...(on && { on }) });

test('five words at a time; read right on three days they rest, and a press can be taken back', async () => {
  assert.deepEqual((await words()).active, ['see', 'the', 'a', 'my', 'is']);
  for (const on of ['2027-03-05', '2027-03-06', TODAY]) await tap('see', 'yes', on);
  const now = await words();
  // On the day itself it stays in sight, pressed; on the next it rests.
  assert.deepEqual([now.active.includes('see'), now.pressed.get('see')], [true, true]);
  assert.deepEqual(now.resting, [{ word: 'see', next: '2027-03-15' }]);
  assert.deepEqual(now.sheets, [['the', 'a', 'my', 'is', 'go']]);
  await tap('see', 'back');
  assert.deepEqual((await words()).resting, []);
  await tap('the', 'no');
  await tap('the', 'yes');
  assert.equal((await words()).pressed.get('the'), true);
  assert.equal((await countingQueries(() => readChildWords(at.owner, home))).queries, 2);
});

test('an odd press is refused in words and changes nothing', async () => {
  const before = await words();
  for (const press of [
    { child, word: 'dinosaur', read: 'yes' },
    { child: 'nobody', word: 'a', read: 'yes' },
    { child, word: 'a', read: 'perhaps' },
    { child, word: 'I; DROP', read: 'yes' },
    { child, word: 'a', read: 'yes', on: '2027-03-09' },
    { child, word: 'a', read: 'yes', on: '2027-02-01' },
    {},
  ])
    await refuses(tapWord(at.owner, home, press), 'wrong-input');
  assert.deepEqual(await words(), before);
  await refuses(tapWord(at.reader, home, { child, word: 'a', read: 'yes' }), 'not-allowed');
  await refuses(tapWord(at.stranger, home, { child, word: 'a', read: 'yes' }), 'not-found');
  await refuses(readChildWords(at.stranger, home), 'not-found');
  for (const odd of ['__proto__', '', 'x'.repeat(300)]) await refuses(readChildWords(at.owner, odd), 'not-found');
});

test('homes press only where the programme asks them to, for today, and only of their own children', async () => {
  const session = await sendToAll('The cart with no wheels');
  const nickname = (await readChildWords(at.owner, home)).home;
  const { token } = (await listLinks(at.owner, session)).find((link) => link.home === nickname)!;
  const press = { child, word: 'my', read: 'yes' };
  assert.equal(await readWordsOfHome(token), null);
  await refuses(tapWordAtHome(token, press), 'not-found');
  assert.equal((await openGuide(token))!.asksWords, false);
  await rows(
    `UPDATE programmes SET settings = settings || '{"words":{"atOnce":5,"restAfter":3,"keptBy":"homes"}}' WHERE id = '${at.owner.programmeId}'`,
  );
  assert.equal((await openGuide(token))!.asksWords, true);
  const { value, queries } = await countingQueries(() => readWordsOfHome(token));
  assert.deepEqual([queries, value!.children[0]!.child], [1, child]);
  await tapWordAtHome(token, press);
  assert.equal((await words()).pressed.get('my'), true);
  await refuses(tapWordAtHome(token, { ...press, child: 'Somebody else' }), 'wrong-input');
  await refuses(tapWordAtHome('x'.repeat(43), press), 'not-found');
  await rows(`UPDATE guide_links SET revoked_at = now()`);
  await refuses(tapWordAtHome(token, press), 'not-found');
});

test('a child under four is not asked for words, unless it has begun by itself', async () => {
  const { homes } = await listHomes(at.owner);
  const young = homes.find(({ children }) => children.length === 1 && children[0]!.birthMonth > '2023-04')!;
  const session = await sendToAll('The cart with no wheels');
  const { token } = (await listLinks(at.owner, session)).find((link) => link.home === young.nickname)!;
  assert.deepEqual([(await openGuide(token))!.asksWords, (await readWordsOfHome(token))!.children], [false, []]);
  assert.equal((await readChildWords(at.owner, young.id)).children[0]!.isEarly, true);
  await tapWord(at.owner, young.id, { child: young.children[0]!.nickname, word: 'see', read: 'yes' });
  assert.equal((await readWordsOfHome(token))!.children.length, 1);
});

test('what a child read goes with it to another name; of one that has left nothing is kept', async () => {
  const count = async (name: string) =>
    (await rows<{ count: number }>(`SELECT count(*)::int AS count FROM word_readings WHERE child = '${name}'`))[0]!
      .count;
  const kept = await count(child);
  assert.ok(kept > 2);
  const rename = async (change: (children: { nickname: string }[]) => { nickname: string }[]) => {
    const { home: form, revision } = await findHome(at.owner, home);
    await keepHome(at.owner, home, { home: { ...form, children: change([...form.children]) }, revision });
  };
  await rename(([first, ...others]) => [{ ...first!, nickname: 'Pebble' }, ...others]);
  assert.deepEqual([await count(child), await count('Pebble')], [0, kept]);
  await rename(([, ...others]) => others);
  assert.equal(await count('Pebble'), 0);
});

test('a file that names other children of a home takes what those read along, as the form does', async () => {
  const { alsoAvoids: _, ...form } = (await findHome(at.owner, home)).home;
  const first = { nickname: 'Pip', birthMonth: '2020-05', loves: 'kites' };
  const file = (children: readonly object[]) => ({
    format: 'footstool',
    version: 1,
    homes: [{ ...form, children, things: form.things.map(({ item, qty }) => ({ item, qty })) }],
  });
  const words = () =>
    rows<{ child: string }>(`SELECT DISTINCT child FROM word_readings WHERE home_id = '${home}' ORDER BY child`);
  await importFile(at.owner, file([first]));
  await tapWord(at.owner, home, { child: 'Pip', word: 'the', read: 'yes' });
  await importFile(at.owner, file([{ ...first, nickname: 'Pippa' }]));
  assert.deepEqual(await words(), [{ child: 'Pippa' }]);
  await importFile(at.owner, file([{ ...first, nickname: 'Quill', birthMonth: '2021-01' }]));
  assert.deepEqual(await words(), []);
});

test('the database itself refuses words that are none', async () => {
  await assert.rejects(
    rows(`INSERT INTO word_readings VALUES ('${home}', 'x', '2027-03-08', 'Not a word', true)`),
    /check/i,
  );
});
