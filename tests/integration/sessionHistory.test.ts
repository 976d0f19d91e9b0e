import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { applyEdit, type Edit } from '../../src/core/session/index.ts';
import { regenerateIn } from '../../src/core/makers/index.ts';
import { authorMakers } from '../../src/messages/authorMakers.ts';
import { describeChanges } from '../../src/messages/sessionHistory.ts';
import { bringBack, nameState, readFormer, readHistory } from '../../src/server/services/sessionHistory.ts';
import { copySession, findSession, keepSession, listSessions } from '../../src/server/services/sessions.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses } = helpersFor(() => at);

/** A copy of a demo session, to be written in. */
async function written(): Promise<{ id: string; keep: (...edits: Edit[]) => Promise<void>; parts: readonly string[] }> {
  const [first] = await listSessions(at.owner);
  const id = await copySession(at.owner, first!.id, { title: 'A history', on: '2027-05-06' });
  const { session } = await findSession(at.owner, id);
  return {
    id,
    parts: session.segments.map((segment) => segment.id),
    keep: async (...edits) => {
      const kept = await findSession(at.owner, id);
      const next = edits.reduce((before, edit) => {
        const answer = applyEdit(before, edit, regenerateIn(authorMakers));
        assert.ok(answer.ok);
        return answer.value;
      }, kept.session);
      await keepSession(at.owner, id, { revision: kept.revision, session: next });
    },
  };
}

test('what was done to a session is told in stretches, and each can be gone back behind, whole or by part', async () => {
  const { id, keep, parts } = await written();
  const [hello, second] = parts;
  const started = await findSession(at.owner, id);
  await keep({ do: 'rename-segment', segment: hello!, title: 'Good morning' });
  await keep(
    { do: 'add-line', segment: hello!, line: { id: 'wave', kind: 'do', text: 'Wave.' }, at: 0 },
    { do: 'remove-segment', segment: second! },
  );
  const [stretch, ...others] = await readHistory(at.owner, id);
  assert.equal(others.length, 0, 'one person without a pause is one stretch');
  assert.equal(describeChanges(stretch!.changes), 'a line written, a part taken out, a part set otherwise');

  const former = await readFormer(at.owner, id, 3);
  assert.equal(former.parts[0]!.title, 'Good morning');
  assert.equal(former.parts.length, parts.length);
  await bringBack(at.owner, id, { before: 3, part: second! });
  const back = await findSession(at.owner, id);
  assert.deepEqual(
    back.session.segments.map((segment) => segment.id),
    parts,
  );
  assert.equal(back.session.segments[0]!.lines[0]!.text, 'Wave.');
  await bringBack(at.owner, id, { before: stretch!.from });
  assert.deepEqual((await findSession(at.owner, id)).session, started.session);
  await bringBack(at.owner, id, { before: 5 });
  assert.deepEqual((await findSession(at.owner, id)).session, back.session, 'going back is gone back behind too');
});

test('a session is named as it is, stands under that name in the list, and comes back as it was then', async () => {
  const { id, keep, parts } = await written();
  await refuses(nameState(at.owner, id, 'Too soon'), 'wrong-input');
  await keep({ do: 'rename-segment', segment: parts[0]!, title: 'Good morning' });
  await nameState(at.owner, id, 'Ready for Thursday');
  await keep({ do: 'rename-segment', segment: parts[0]!, title: 'Good evening' });
  const history = await readHistory(at.owner, id);
  assert.deepEqual(
    history.map(({ name }) => name),
    ['', 'Ready for Thursday'],
  );
  const before = history[1]!.to + 1;
  assert.equal((await readFormer(at.owner, id, before)).parts[0]!.title, 'Good morning');
  await bringBack(at.owner, id, { before });
  assert.equal((await findSession(at.owner, id)).session.segments[0]!.title, 'Good morning');
  await refuses(nameState(at.reader, id, 'Mine'), 'not-allowed');
  await refuses(nameState(at.stranger, id, 'Mine'), 'not-found');
});

test('who reads brings nothing back, a stranger sees nothing, and a number that never was changes nothing', async () => {
  const { id, keep, parts } = await written();
  await keep({ do: 'rename-segment', segment: parts[0]!, title: 'Hello, hello' });
  await refuses(bringBack(at.reader, id, { before: 2 }), 'not-allowed');
  await refuses(bringBack(at.stranger, id, { before: 2 }), 'not-found');
  assert.deepEqual(await readHistory(at.stranger, id), []);
  await refuses(readFormer(at.stranger, id, 2), 'not-found');
  await refuses(bringBack(at.owner, id, { before: 2, part: 'gone' }), 'not-found');
  await bringBack(at.owner, id, { before: 9999 });
  assert.equal((await findSession(at.owner, id)).session.segments[0]!.title, 'Hello, hello');
});
