import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Guide } from '../../src/core/guide/index.ts';
import { database } from '../../src/server/db/connection.ts';
import { findHome, listHomes } from '../../src/server/services/homes.ts';
import { openGuide } from '../../src/server/services/guides.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { rewriteGuide } from '../../src/server/services/rewrittenGuide.ts';
import { helpersFor, startProgrammes, type TestProgrammes, wrongToken } from './programme.ts';

let at: TestProgrammes;
let token: string;
let home: string;
before(async () => {
  at = await startProgrammes();
  const id = await sendToAll('The cart with no wheels');
  const links = await listLinks(at.owner, id);
  for (const link of links) {
    const { guide, language } = (await openGuide(link.token))!;
    if (language === 'en' && guide.fetch.some(({ item, source }) => item === 'bottle-lid' && source === 'home')) {
      ({ token, home } = link);
      break;
    }
  }
});
after(() => at.remove());
const { refuses, sendToAll } = helpersFor(() => at);

const opened = async () => (await openGuide(token))!;
const fetched = (guide: Guide) => guide.fetch.map(({ item, qty, source }) => [item, qty, source] as const);
const stock = async () => {
  const found = (await listHomes(at.owner)).homes.find(({ nickname }) => nickname === home)!;
  const { revision } = await findHome(at.owner, found.id);
  return { revision, has: found.stock.find(({ item }) => item === 'bottle-lid')?.qty, hasNot: found.hasNot ?? [] };
};
const say = (item: string, isThere: boolean) => rewriteGuide(token, { what: 'thing', item, isThere });

test('a home that has not got a thing gets its guide written again, and everything back when it finds it after all', async () => {
  const first = await opened();
  const { has: had = 0, revision } = await stock();
  assert.ok(had > 0);
  assert.equal(await say('bottle-lid', false), 'rewritten');
  const second = await opened();
  assert.deepEqual([second.edition, second.earlier], [first.edition + 1, first.edition]);
  assert.ok(!fetched(second.guide).some(([item, , source]) => item === 'bottle-lid' && source === 'home'));
  assert.notDeepEqual(fetched(second.guide), fetched(first.guide));
  assert.deepEqual(
    second.lacks.map(({ item }) => item),
    ['bottle-lid'],
  );
  assert.deepEqual((await openGuide(token, undefined, first.edition))!.guide, first.guide, 'the first stays as it was');
  const known = await stock();
  assert.ok(known.has === undefined && known.hasNot.includes('bottle-lid'), 'and the author’s count follows');
  assert.equal(known.revision, revision + 1, 'and whoever has the home open is told');

  assert.equal(await say('bottle-lid', false), 'same');
  assert.equal((await opened()).edition, second.edition, 'said twice is said once');
  assert.equal(await say('bottle-lid', true), 'rewritten');
  const third = await opened();
  assert.deepEqual(third.guide, first.guide);
  assert.deepEqual([third.lacks, (await stock()).has], [[], had]);
});

test('with nothing else that would do, the part waits for another day and says for what', async () => {
  for (let left = 20; left > 0; left -= 1) {
    const { guide } = await opened();
    const there = guide.fetch.find(({ source }) => source === 'home');
    if (!there) break;
    await say(there.item, false);
  }
  const { guide } = await opened();
  assert.ok(guide.segments.some(({ leftOut, waitsFor }) => leftOut && waitsFor!.length > 0));
  for (const { leftOut, missing = [] } of guide.segments)
    if (!leftOut) assert.ok(missing.every(({ elseDo }) => elseDo.length > 0));
});

test('without its book what happens in it is told, and no line speaks of a page', async () => {
  const earlier = await opened();
  const lines = (guide: Guide) => guide.segments.find(({ kind }) => kind === 'book')!.levels.right!.lines;
  assert.ok(lines(earlier.guide).some(({ text }) => /After page \d/.test(text)));
  assert.equal(await rewriteGuide(token, { what: 'book', isThere: false }), 'rewritten');
  const without = lines((await opened()).guide);
  assert.ok(without.every(({ text }) => !/page \d/i.test(text)));
  assert.ok(without.some(({ kind, text }) => kind === 'say' && text.startsWith('There’s a cart in a yard.')));
  assert.ok(without.some(({ kind, text }) => kind === 'ask' && text.startsWith('“How many wheels')));
  await sendToAll('The cart with no wheels');
  const again = await opened();
  assert.ok(again.edition > earlier.edition && lines(again.guide).every(({ text }) => !/page \d/i.test(text)));
  await rewriteGuide(token, { what: 'book', isThere: true });
  assert.deepEqual(lines((await opened()).guide), lines(earlier.guide));
});

test('a guide asks for what it names only, thirty times a day, and at its own link', async () => {
  await refuses(say('torch-that-is-nowhere', false), 'wrong-form');
  await refuses(rewriteGuide(wrongToken(token), { what: 'book', isThere: false }), 'not-found');
  await database().query('DELETE FROM tries');
  for (let time = 0; time < 30; time += 1) await rewriteGuide(token, { what: 'book', isThere: time % 2 === 1 });
  await refuses(rewriteGuide(token, { what: 'book', isThere: false }), 'too-many-tries');
});
