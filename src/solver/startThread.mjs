import { workerData } from 'node:worker_threads';

const { module, task } = workerData;
// As in signal.ts.
const [ALONE, DONE] = [0, 2];
Atomics.wait(task.signal, 0, ALONE, task.waitMs);
if (Atomics.load(task.signal, 0) !== DONE) {
  // Threads do not inherit the loader for TypeScript that the command line starts with, so each registers its own.
  const { register } = await import('tsx/esm/api');
  register();
  await import(module);
}
