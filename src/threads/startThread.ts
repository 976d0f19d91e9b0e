import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker, type WorkerOptions } from 'node:worker_threads';
import { ENTRIES } from './entries.mjs';
import { isBuilt, ROOT } from './root.ts';

/** The modules that run in a thread of their own. */
export type ThreadName = 'calc' | 'plan';

/** Starts one of our modules in a thread: what was built with this one, or its source where nothing was. */
export function startThread(
  name: ThreadName,
  { workerData = {}, ...options }: WorkerOptions & { readonly workerData?: object } = {},
): Worker {
  const data = { ...workerData, module: fileOf(`thread-${name}`).href, isSource: !isBuilt };
  return new Worker(fileOf('thread-begin'), { ...options, workerData: data });
}

function fileOf(entry: keyof typeof ENTRIES): URL {
  return pathToFileURL(join(ROOT, isBuilt ? `dist/server/${entry}.mjs` : ENTRIES[entry]));
}
