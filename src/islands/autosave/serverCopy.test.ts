import assert from 'node:assert/strict';
import { mock, test } from 'node:test';
import { ServerCopy, type Shown } from './serverCopy.ts';

test('what was refused for good is known to be refused until something else is shown', async (t) => {
  const answer = { code: 'internal', message: 'Something went wrong on our side, and it has been noted.' };
  mock.method(globalThis, 'fetch', () => Promise.resolve(Response.json(answer, { status: 500 })));
  t.after(() => mock.restoreAll());
  const shown = (value: object): Shown<object> => ({ address: '/api/x', name: 'x', value, revision: 1, keptAt: '' });
  const latest = { current: shown({ words: 'as kept' }) };
  const server = new ServerCopy(latest);
  assert.ok(!server.mayKeep(), 'nothing is behind');
  latest.current = shown({ words: 'once' });
  assert.ok(server.mayKeep());
  const keeping = server.keep();
  assert.ok(!server.mayKeep(), 'it is on its way');
  assert.equal((await keeping).state, 'refused');
  // A timer that was set while it was on its way may be due now, before anything is drawn.
  assert.ok(!server.mayKeep(), 'it was refused as it is');
  latest.current = shown({ words: 'once more' });
  assert.ok(server.mayKeep());
});
