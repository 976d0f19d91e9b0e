import { workerData } from 'node:worker_threads';

const { module, isSource, task } = workerData;
// As in src/solver/signal.ts. A thread that may not be needed waits before it loads anything.
const [ALONE, DONE] = [0, 2];
if (task?.signal) Atomics.wait(task.signal, 0, ALONE, task.waitMs);
if (!task?.signal || Atomics.load(task.signal, 0) !== DONE) {
  // Threads do not inherit the loader for TypeScript that a command without a build starts with.
  if (isSource) (await import('tsx/esm/api')).register();
  await import(/* @vite-ignore */ module);
}
