import assert from 'node:assert/strict';
import { test } from 'node:test';
import { toEdgeError } from './answers.ts';

test('a statement that was given up behind others is said as busy, a database that is gone as away', () => {
  process.env.LOG_LEVEL = 'silent';
  const wrapped = (code: string) =>
    Object.assign(new Error('refused'), {
      name: 'SequelizeDatabaseError',
      parent: Object.assign(new Error(code), { code }),
    });
  for (const code of ['57014', '55P03', '40001', '40P01']) assert.equal(toEdgeError(wrapped(code)).code, 'busy', code);
  for (const code of ['57P01', 'ECONNREFUSED', '08006'])
    assert.equal(toEdgeError(wrapped(code)).code, 'database-away', code);
  assert.equal(toEdgeError(wrapped('23505')).code, 'internal');
});
