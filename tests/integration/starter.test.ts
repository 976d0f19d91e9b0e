import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { readShelf } from '../../src/server/db/repositories/shelf.ts';
import { database } from '../../src/server/db/connection.ts';
import { starter } from '../../src/server/starter.ts';
import { keepHome } from '../../src/server/services/homes.ts';
import { findEntry, keepEntry, retireEntry } from '../../src/server/services/shelfEntries.ts';
import { readStarterOffers, takeStarter } from '../../src/server/services/starter.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => {
  at = await startProgrammes();
});
after(() => at.remove());
const { refuses } = helpersFor(() => at);

const shelfKeys = async () => {
  const { things, songs, activities } = await readShelf(at.stranger.programmeId);
  return [things, songs, activities].map((entries) => entries.map(({ key }) => key).sort());
};
const offered = async () => (await readStarterOffers(at.stranger)).map(({ entry }) => entry.key);
const body = (key: string) => starter().entries.find((entry) => entry.key === key)!.body;

test('one activity of the collection brings the things it names and what comes before it, and no more', async () => {
  assert.equal((await offered()).length, starter().entries.length, 'an empty shelf is offered all of it');
  await takeStarter(at.stranger, ['activity/hop-the-words']);
  const [things, songs, activities] = await shelfKeys();
  assert.deepEqual([songs, activities], [[], ['five-words-home', 'hop-the-words']]);
  assert.ok(things!.includes('sticky-note') && !things!.includes('torch'), String(things));
  await refuses(takeStarter(at.stranger, ['activity/nothing-like-it']), 'wrong-input');
  await refuses(takeStarter({ ...at.stranger, role: 'reader' }, 'all'), 'not-allowed');
});

test('what a programme changed or removed stays when the collection has a newer one, what it left is offered', async () => {
  await takeStarter(at.stranger, 'all');
  assert.deepEqual(await offered(), []);
  const { entry, revision } = await findEntry(at.stranger, 'activity', 'covered-plate');
  const ours = { ...entry, title: 'Our covered plate' };
  await keepEntry(at.stranger, { kind: 'activity', value: ours, isNew: false, revision });
  await retireEntry(at.stranger, 'activity', 'lid-bath', true);
  // As if all three had come in an earlier version.
  await database().query(
    `UPDATE starter_takes SET body = body || '{"idea": "as it was"}'
      WHERE key IN ('covered-plate', 'lid-bath', 'two-houses') AND programme_id = '${at.stranger.programmeId}'`,
  );
  await database().query(
    `UPDATE shelf_items SET body = body || '{"idea": "as it was"}'
      WHERE key = 'two-houses' AND programme_id = '${at.stranger.programmeId}'`,
  );
  assert.deepEqual(await offered(), ['two-houses']);
  await takeStarter(at.stranger, 'all');
  assert.deepEqual((await findEntry(at.stranger, 'activity', 'two-houses')).entry, body('two-houses'));
  assert.deepEqual((await findEntry(at.stranger, 'activity', 'covered-plate')).entry, ours);
  assert.equal((await findEntry(at.stranger, 'activity', 'lid-bath')).isRetired, true);
});

test('a home may have a thing of the collection that is not on the shelf yet', async () => {
  await database().query(`DELETE FROM shelf_items WHERE key = 'sieve' AND programme_id = '${at.stranger.programmeId}'`);
  const home = { nickname: 'The mill', language: 'en', contact: '', allergens: [], alsoAvoids: [], children: [] };
  await keepHome(at.stranger, 'new', { home: { ...home, things: [{ item: 'sieve', qty: 1 }] } });
  assert.ok((await shelfKeys())[0]!.includes('sieve'));
});
