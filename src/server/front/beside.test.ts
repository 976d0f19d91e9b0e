import assert from 'node:assert/strict';
import { writeFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, test } from 'node:test';
import { EdgeError } from '../http/errors.ts';
import { startBeside } from './beside.ts';

const folder = mkdtempSync(join(tmpdir(), 'footstool-beside-'));
after(() => rmSync(folder, { recursive: true, force: true }));

/** A thread whose tasks say by what they are given how they go. */
const file = join(folder, 'tasks.mjs');
writeFileSync(
  file,
  `export default async ({ given: [content] }) => {
     if (content === 'memory') { const kept = []; for (;;) kept.push(new Array(100_000).fill(kept.length)); }
     if (content === 'endless') for (;;);
     if (content === 'fault') throw new Error('of the task');
     return [content];
   };`,
);
const isTooMuch = (thrown: unknown) => thrown instanceof EdgeError && thrown.code === 'took-too-long';

test('what takes too much memory or fails is refused, and what comes after it is done', async () => {
  const beside = startBeside(file);
  const asked = ['one', 'memory', 'two', 'fault', 'three'].map((content) => beside.checkFile(content, []));
  const told = await Promise.allSettled(asked);
  assert.deepEqual(
    told.map((one) => (one.status === 'fulfilled' ? one.value : isTooMuch(one.reason))),
    [['one'], true, ['two'], true, ['three']],
  );
});

test('what never ends is given up, and what waited behind it is done', async () => {
  const beside = startBeside(file, 1000);
  const endless = beside.checkFile('endless', []);
  const waiting = beside.checkFile('one', []);
  await assert.rejects(endless, isTooMuch);
  assert.deepEqual(await waiting, ['one']);
});

test('more than can be waited for is refused at once, and none of those that wait is lost', async () => {
  const beside = startBeside(file);
  const told = await Promise.allSettled(Array.from({ length: 30 }, (_, index) => beside.checkFile(index, [])));
  const [done, refused] = [
    told.flatMap((one) => (one.status === 'fulfilled' ? [one.value as unknown] : [])),
    told.flatMap((one) => (one.status === 'rejected' ? [(one.reason as EdgeError).code] : [])),
  ];
  assert.deepEqual(
    done,
    Array.from({ length: done.length }, (_, index) => [index]),
  );
  assert.deepEqual([done.length < 12, new Set(refused)], [true, new Set(['busy'])]);
});
