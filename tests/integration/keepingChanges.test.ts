import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import fc from 'fast-check';
import { type Change, changesBetween, type Session } from '../../src/core/session/index.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { arrivalOf, copySession, findSession, keepSession, listSessions } from '../../src/server/services/sessions.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

/** What a window sends is what it changed, under a name: it is kept once, whatever becomes of the answer. */
let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses } = helpersFor(() => at);

async function copied() {
  const [first] = await listSessions(at.owner);
  return findSession(at.owner, await copySession(at.owner, first!.id, { title: 'Written in', on: '2027-05-06' }));
}
const changed = (session: Session, change: Partial<Session>): Change[] =>
  changesBetween(session, { ...session, ...change });
const ONE = 'aaaaaaaaaaaaaaaa';
const TWO = 'bbbbbbbbbbbbbbbb';

test('a change that is sent twice is kept once, and one that arrived before somebody else’s says so', async () => {
  const { id, revision, session } = await copied();
  const mine = { revision, key: ONE, changes: changed(session, { aim: 'Counts on.' }) };
  const kept = await keepSession(at.owner, id, mine);
  assert.equal(kept.revision, revision + 1);
  assert.equal((await keepSession(at.owner, id, mine)).revision, revision + 1, 'again, as its answer was lost');
  assert.equal(await arrivalOf(at.owner, id, ONE), revision + 1);
  assert.equal(await arrivalOf(at.owner, id, TWO), null);
  await refuses(arrivalOf(at.stranger, id, ONE), 'not-found');

  const theirs = { revision: kept.revision, key: TWO, changes: changed(session, { title: 'Theirs' }) };
  await keepSession(at.owner, id, theirs);
  const told = async (sent: object) =>
    keepSession(at.owner, id, sent).then(
      () => assert.fail('nobody was told of the other'),
      (error: EdgeError) => error.details.current as { hasArrived: boolean; revision: number; session: Session },
    );
  const late = await told(mine);
  assert.deepEqual([late.hasArrived, late.revision, late.session.title], [true, revision + 2, 'Theirs']);
  assert.equal((await told({ ...mine, key: 'cccccccccccccccc' })).hasArrived, false);
  // The name of an edit that arrived is never taken for another.
  const again = await told({ ...theirs, revision: revision + 2, key: ONE });
  assert.equal(again.session.aim, 'Counts on.');
});

test('changes of any shape are refused in words or do no harm, and what comes of them is a session that can be kept', async () => {
  const { id, revision, session } = await copied();
  const anything = fc.jsonValue({ maxDepth: 3 });
  const part = fc.constantFrom(...session.segments.map((segment) => segment.id), 'none');
  const name = fc.constantFrom('do', 'id', 'lines', 'levels', 'needs', 'segments', 'minutes', 'title', 'text', 'kind');
  const fields = fc.dictionary(name, anything, { maxKeys: 4 });
  const list = fc.constantFrom('lines', 'easier', 'harder', 'needs', 'other');
  const change = fc.oneof(
    fc.record({ do: fc.constantFrom('add', 'remove', 'move'), entry: anything, after: anything }),
    fc.record({
      do: fc.constant('add'),
      entry: fields.map((some) => ({ id: 'new', ...some })),
      after: fc.constant(null),
    }),
    fc.record({ do: fc.constant('remove'), id: part }),
  );
  const aChange = fc.oneof(
    anything,
    fc.record({
      do: fc.constantFrom('set', 'accept', 'ask-again', 'remarks', 'parts'),
      fields,
      change,
      finding: anything,
    }),
    fc.record({ do: fc.constant('set'), fields }),
    fc.record({ do: fc.constant('parts'), change }),
    fc.record({ do: fc.constant('set-part'), part, fields }),
    fc.record({ do: fc.constant('entries'), part, list, change }),
    fc.record({ do: fc.constant('set-entry'), part, list, id: part, fields, was: fc.dictionary(name, fc.string()) }),
  );
  let refused = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(aChange, { maxLength: 3 }), async (changes) => {
      const { revision: now } = await findSession(at.owner, id);
      await keepSession(at.owner, id, { revision: now, key: newKey(), changes }).catch((error: unknown) => {
        assert.ok(error instanceof EdgeError && ['wrong-input', 'wrong-form'].includes(error.code), String(error));
        refused += 1;
      });
    }),
    { seed: 24, numRuns: 300 },
  );
  assert.ok(refused > 100, `${refused} of 300 were refused`);
  for (const wrong of [{ key: 'short' }, { key: undefined }, { changes: 'all' }, { changes: Array(5001).fill({}) }])
    await refuses(keepSession(at.owner, id, { revision, key: newKey(), changes: [], ...wrong }), 'wrong-input');
});

test('a note is by whoever sends it, and a colleague’s says nothing else under their name', async () => {
  const { id, revision, session } = await copied();
  const note = { id: 'n1', part: session.segments[0]!.id, text: 'Four was too many.', by: 'Maren', at: '2027-03-08' };
  const notesOf = async () => (await findSession(at.owner, id)).session.remarks!.map(({ text, by }) => `${text} ${by}`);
  const mine = at.owner.name;
  await keepSession(at.owner, id, { revision, session: { ...session, remarks: [note] } });
  assert.deepEqual(await notesOf(), [`Four was too many. ${mine}`]);
  const colleague = { ...at.owner, name: 'Maren' };
  const answer = { ...note, id: 'n2', text: 'Three, then.', by: mine };
  const now = await findSession(at.owner, id);
  const added = changed(now.session, { remarks: [...now.session.remarks!, answer] });
  await keepSession(colleague, id, { revision: now.revision, key: newKey(), changes: added });
  assert.deepEqual(await notesOf(), [`Four was too many. ${mine}`, 'Three, then. Maren']);
  const later = await findSession(at.owner, id);
  const forged = later.session.remarks!.map((remark) => ({ ...remark, text: 'Six is fine.' }));
  await keepSession(colleague, id, { revision: later.revision, session: { ...later.session, remarks: forged } });
  assert.deepEqual(await notesOf(), ['Six is fine. Maren', 'Six is fine. Maren']);
});

let count = 0;
const newKey = () => (count += 1).toString(16).padStart(16, '0');
