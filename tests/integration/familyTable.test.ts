import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { guessColumns, readFamilies } from '../../src/core/families/index.ts';
import { readTable } from '../../src/contracts/familyTable.ts';
import { bringInFamilies, exportHomesCsv } from '../../src/server/services/familyTable.ts';
import { listHomes, takeOutHome } from '../../src/server/services/homes.ts';
import { readCountableThings } from '../../src/server/services/shelfPage.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => {
  at = await startProgrammes();
});
after(() => at.remove());
const { refuses } = helpersFor(() => at);

const homesOf = async (person = at.owner) => (await listHomes(person)).homes.map(({ id: _, ...home }) => home);
const ava = { nickname: 'Ava', birthMonth: '2023-03' };

test('every home of the demo goes out as CSV and comes back the same, into a programme that has none of its things', async () => {
  const table = readTable(await exportHomesCsv(at.owner));
  assert.ok(table.ok);
  const { roles } = guessColumns(table.rows, '2027-03-08');
  const things = await readCountableThings(at.owner);
  const { families, notes } = readFamilies(table.rows.slice(1), roles, {
    today: '2027-03-08',
    things,
    nameFor: String,
  });
  assert.deepEqual(notes, []);
  const body = { families: families.map(({ family }) => family) };
  assert.deepEqual(await bringInFamilies(at.stranger, body), { added: 12, changed: 0 });
  assert.deepEqual(await homesOf(at.stranger), await homesOf());
  assert.deepEqual(await bringInFamilies(at.owner, body), { added: 0, changed: 12 });
  assert.deepEqual(await homesOf(), await homesOf(at.stranger), 'and changes nothing where it came from');
});

test('of a home that is there only what the table says is changed, and no allergy is lost', async () => {
  const [earlier] = await homesOf(at.stranger);
  const { nickname, children } = earlier!;
  await bringInFamilies(at.stranger, { families: [{ nickname, children: [ava], alsoAvoids: ['kiwi'] }] });
  const now = (await homesOf(at.stranger)).find((home) => home.nickname === nickname)!;
  assert.deepEqual(
    { ...now, allergens: undefined, children: undefined },
    { ...earlier, allergens: undefined, children: undefined },
  );
  assert.deepEqual(
    now.children.map((child) => child.nickname),
    ['Ava', ...children.map((child) => child.nickname)],
  );
  assert.deepEqual([...now.allergens].sort(), [...earlier!.allergens, 'kiwi'].sort());
});

test('a table is refused whole, with the place, and by whoever may not', async () => {
  const home = (nickname: string, further = {}) => ({ nickname, children: [ava], ...further });
  const count = (await homesOf()).length;
  for (const families of [
    [home('New'), home('New')],
    [home('New', { things: [{ item: 'no-such-thing', qty: 1 }] })],
    [home('New', { contact: 'nowhere' })],
    [{ ...home('New'), children: [ava, ava] }],
    [home('New', { allergens: ['dust'] })],
    [{ ...home('New'), children: [{ nickname: 'Ava', birthMonth: '2023-13' }] }],
    [home('New', { surname: 'Miller' })],
    Array.from({ length: 201 }, (_, index) => home(`New ${index}`)),
    [],
  ])
    await refuses(bringInFamilies(at.owner, { families }), 'wrong-input');
  await refuses(bringInFamilies(at.reader, { families: [home('New')] }), 'not-allowed');
  await refuses(exportHomesCsv(at.reader), 'not-allowed');
  assert.equal((await homesOf()).length, count);
  const [first] = (await listHomes(at.owner)).homes;
  await takeOutHome(at.owner, first!.id, true);
  await refuses(bringInFamilies(at.owner, { families: [home(first!.nickname)] }), 'wrong-input');
  await takeOutHome(at.owner, first!.id, false);
});
