import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { readPrepare } from '../../src/server/services/prepare.ts';
import { listSessions } from '../../src/server/services/sessions.ts';
import { tick, tickKey } from '../../src/server/services/ticks.ts';
import { readToday } from '../../src/server/services/today.ts';
import { countingQueries } from '../../src/server/db/connection.ts';
import { readSendPage } from '../../src/server/services/sendPage.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses } = helpersFor(() => at);

test('what is to be done before a session is ticked there and on Today alike, and is nobody else’s', async () => {
  const pages = await Promise.all((await listSessions(at.owner)).map(({ id }) => readPrepare(at.owner, id)));
  const first = pages.flatMap(({ tasks }) => tasks).find(({ isDone }) => !isDone)!.item;
  await tick(at.owner, tickKey(first), true);
  const page = await readPrepare(at.owner, first.sessionId);
  assert.deepEqual(
    page.tasks.filter(({ isDone }) => isDone).map(({ item }) => item.id),
    [first.id],
  );
  assert.ok(page.tasks.every(({ item }) => item.sessionId === first.sessionId));
  assert.ok((await readToday(at.owner)).due.every(({ id }) => id !== first.id));
  await refuses(readPrepare(at.stranger, first.sessionId), 'not-found');
  await refuses(tick(at.reader, tickKey(first), false), 'not-allowed');
  await refuses(readPrepare(at.owner, 'none'), 'not-found');
});

test('bags hold what homes lack and the programme gives, as the list to send from counts them', async () => {
  let bagged = 0;
  for (const { id } of await listSessions(at.owner)) {
    const { value: page, queries } = await countingQueries(() => readPrepare(at.owner, id));
    assert.ok(queries <= 13, `${queries} queries`);
    const { fits } = await readSendPage(at.owner, id);
    const kits = fits.filter(({ kit }) => kit.length > 0);
    assert.equal(page.bagCount, kits.length);
    assert.deepEqual(
      page.bags.map(({ nickname, things }) => [nickname, things]),
      kits.map(({ home, kit }) => [home.nickname, kit]),
    );
    for (const { item, qty, bags } of page.gathered) {
      const inside = kits.flatMap(({ kit }) => kit.filter((thing) => thing.item === item));
      assert.deepEqual([qty, bags], [inside.reduce((sum, thing) => sum + thing.qty, 0), inside.length]);
    }
    bagged += page.bagCount;
  }
  assert.ok(bagged > 0, 'some home of the demo needs a bag');
});
