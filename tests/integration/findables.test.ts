import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { listFindables } from '../../src/server/services/findables.ts';
import { ROUTES } from '../../src/server/http/roles.ts';
import { startProgrammes, type TestProgrammes } from './programme.ts';

/** What can be found is one’s own programme’s, and for whoever may open it. */
let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());

test('another programme’s sessions, homes and lines are not found, nor rooms that somebody may not open', async () => {
  const own = await listFindables(at.owner);
  const strange = await listFindables(at.stranger);
  for (const kind of ['session', 'home', 'line', 'book'] as const) {
    if (kind !== 'line')
      assert.ok(
        own.some((entry) => entry.kind === kind),
        kind,
      );
    assert.equal(strange.filter((entry) => entry.kind === kind && kind !== 'book').length, 0, kind);
  }
  assert.equal(new Set(own.map(({ kind, key }) => `${kind}/${key}`)).size, own.length);
  const readers = await listFindables(at.reader);
  const shut = ['/homes/table', '/shelf/import', '/programme/people'].filter((path) => ROUTES[path]?.see !== 'reader');
  assert.ok(shut.length > 0);
  assert.deepEqual(
    readers.filter(({ href }) => shut.includes(href) || /^\/homes\/[0-9a-f]/.test(href)),
    [],
  );
});
