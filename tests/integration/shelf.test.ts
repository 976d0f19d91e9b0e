import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { countingQueries, database } from '../../src/server/db/connection.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { readBench } from '../../src/server/services/benchPage.ts';
import { exportFile } from '../../src/server/services/exportShelf.ts';
import { keepReply, openGuide } from '../../src/server/services/guides.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import { listPost, readPost } from '../../src/server/services/post.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { readShelfItemPage } from '../../src/server/services/shelfItem.ts';
import { readShelfRows } from '../../src/server/services/shelfPage.ts';
import { readToday } from '../../src/server/services/today.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';
import { demoFile } from '../support/demoFile.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());

const { sessionNamed, sendToAll, reply, rows } = helpersFor(() => at);

test('nothing of a file is taken in while any of it is wrong', async () => {
  const { things } = demoFile('things');
  const [first] = things as { key: string }[];
  const activities = demoFile('activities').activities as { key: string; needs: { item: string }[] }[];
  const file = (change: object) => ({
    format: 'footstool',
    version: 1,
    things: [{ ...first!, key: 'half-way-in' }],
    ...change,
  });
  const dividing = {
    ...activities[0]!,
    key: 'divides',
    minutes: { ...(activities[0] as unknown as { minutes: object }).minutes, setup: [1, '4/(boxes-2)', 5] },
  };
  const problemOf = async (content: object) => {
    try {
      await importFile(at.owner, content);
    } catch (error) {
      return (error as EdgeError).details.problems!.map(({ path, message }) => `${path}: ${message}`)[0]!;
    }
    return 'taken in';
  };
  assert.match(
    await problemOf(file({ activities: [dividing] })),
    /^activities\[0\]\.minutes\.setup\[1\]: “4\/\(boxes-2\)” divides by zero \(at boxes in a row 2\)$/,
  );
  assert.match(
    await problemOf(
      file({ activities: [{ ...activities[0]!, needs: [{ ...activities[0]!.needs[0]!, item: 'unheard-of' }] }] }),
    ),
    /^activities\[0\]/,
  );
  assert.match(await problemOf(file({ things: [first!, first!] })), /^things\[1\]\.key: .* already at things\[0\]/);
  assert.match(
    await problemOf(
      file({ sessions: [{ title: 'x', on: '2027-02-30', ages: { fromMonths: 1, toMonths: 2 }, aim: '', parts: [] }] }),
    ),
    /^sessions\[0\]\.on: .*not a day that exists/,
  );
  assert.match(
    await problemOf(
      file({
        sessions: [
          {
            title: 'x',
            on: '2027-02-03',
            ages: { fromMonths: 1, toMonths: 2 },
            aim: '',
            parts: [{ kind: 'book', key: 'unheard-of' }],
          },
        ],
      }),
    ),
    /^sessions\[0\]\.parts\[0\]\.key/,
  );
  assert.equal(
    (await readShelfRows(at.owner, 'thing')).rows.some(({ key }) => key === 'half-way-in'),
    false,
  );
});

test('what is saved as a file is taken in again without a change, and homes keep their replies', async () => {
  const sentId = await sendToAll('The cart with no wheels');
  const [answering] = await listLinks(at.owner, sentId);
  await keepReply(answering!.token, reply({ note: 'Kept.' }));
  const saved = await exportFile(at.owner, { homes: true });
  const repliesBefore = (await rows<{ id: string }>('SELECT id FROM replies ORDER BY id')).length;
  const report = await importFile(at.owner, JSON.parse(JSON.stringify(saved)));
  assert.equal(report.bySection.homes, 12);
  assert.deepEqual(await exportFile(at.owner, { homes: true }), saved);
  assert.equal((await rows('SELECT id FROM replies')).length, repliesBefore);
  assert.ok(repliesBefore > 0);
});

test('the number of queries of each page is fixed, however many rows there are', async () => {
  const kept = await sessionNamed('The cart with no wheels');
  const [link] = await listLinks(at.owner, kept.id);
  const pages = {
    today: () => readToday(at.owner),
    shelf: () => readShelfRows(at.owner, 'activity', { words: 'wheels' }),
    item: () => readShelfItemPage(at.owner, 'activity', 'carts-and-lids'),
    bench: () => readBench(at.owner, kept.id),
    homes: () => listHomes(at.owner),
    postList: () => listPost(at.owner.programmeId),
    post: () => readPost(at.owner, kept.id),
    guide: () => openGuide(link!.token),
  };
  const count = async () =>
    Object.fromEntries(
      await Promise.all(
        Object.entries(pages).map(async ([page, read]) => [page, (await countingQueries<unknown>(read)).queries]),
      ),
    );
  const few = await count();
  assert.deepEqual(few, { today: 7, shelf: 1, item: 3, bench: 10, homes: 4, postList: 1, post: 11, guide: 1 });
  const homes = demoFile('homes').homes as { nickname: string }[];
  await importFile(at.owner, {
    format: 'footstool',
    version: 1,
    homes: homes.map((home) => ({ ...home, nickname: `${home.nickname} two` })),
  });
  await sendToAll('The cart with no wheels');
  assert.deepEqual(await count(), few);
});

test('the database itself refuses what must not be', async () => {
  const refusesSql = (sql: string) => assert.rejects(database().query(sql), sql);
  await refusesSql(`UPDATE sessions SET age_from_months = 90, age_to_months = 10`);
  await refusesSql(`UPDATE replies SET outcome = 'perhaps'`);
  await refusesSql(`INSERT INTO reply_parts SELECT id, 'part', NULL, 'Part', 1, -3 FROM replies`);
  await refusesSql(`UPDATE shelf_items SET key = 'Not A Key' WHERE kind = 'thing'`);
  await refusesSql(`UPDATE home_things SET programme_id = '${at.stranger.programmeId}'`);
  await refusesSql(`UPDATE children SET birth_month = '2024-13'`);
});
