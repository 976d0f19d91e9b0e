import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { keepRehearsal, readRehearsal } from '../../src/server/services/rehearsing.ts';
import { findSession } from '../../src/server/services/sessions.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses, sessionNamed } = helpersFor(() => at);

test('a rehearsal plans each line after the one before, and keeps ticked minutes and notes, and nothing for strangers or readers', async () => {
  const { id } = await sessionNamed('The cart with no wheels');
  const { lines, parts } = await readRehearsal(at.owner, id);
  assert.ok(lines.length > 10);
  lines.slice(1).forEach(({ begins }, index) => assert.ok(begins > lines[index]!.begins));
  const carts = parts.find(({ title }) => title === 'Carts and lids')!;
  const [line] = lines.filter(({ part }) => part === carts.id);
  const kept = {
    name: '5f0e3c0e8f434d1c',
    parts: [{ id: carts.id, seconds: carts.planned * 60 * 2 }],
    notes: [
      { part: carts.id, line: line!.line, text: 'Say it slower.' },
      { part: 'no-such-part', line: 'x', text: 'Nowhere.' },
    ],
  };
  await refuses(keepRehearsal(at.reader, id, kept), 'not-allowed');
  await refuses(keepRehearsal(at.stranger, id, kept), 'not-found');
  await keepRehearsal(at.owner, id, kept);
  // The same press that arrives again is kept once.
  await keepRehearsal(at.owner, id, kept);
  const again = await readRehearsal(at.owner, id);
  const now = again.parts.find((part) => part.id === carts.id)!;
  assert.ok(Math.abs(now.planned - carts.planned * 2) < 0.05, `${now.planned} and not ${carts.planned * 2}`);
  const { session } = await findSession(at.owner, id);
  assert.deepEqual(
    session.remarks?.map(({ text, by, line: of }) => [text, by, of]),
    [['Say it slower.', 'quillbrook', line!.line]],
  );
});
