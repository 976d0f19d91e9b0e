import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { BesideThread } from '../server/front/beside.ts';
import { createFront, type PageHandler } from '../server/front/front.ts';
import { followGuideChanges } from '../server/db/guideChanges.ts';
import { MemoryGuideStore } from '../server/front/guideStore.ts';
import { closeDatabase } from '../server/db/connection.ts';
import { firstOwnerCode } from '../server/http/secrets.ts';
import { isWithoutOwner } from '../server/services/firstOwner.ts';
import { log } from '../server/log.ts';

const ROOT = resolve(import.meta.dirname, '../..');
const DIST = join(ROOT, 'dist');
const MS_BEFORE_NEW_WORKER = 2000;

/** `footstool serve`: the built application at HOST and PORT, and beside it a thread that works the queue off. */
export async function runServe(): Promise<number> {
  const { DATABASE_URL: databaseUrl, HOST: host = '127.0.0.1', PORT: port = '4321' } = process.env;
  if (!databaseUrl) throw new Error('DATABASE_URL is not set; bin/start sets it');
  const entry = (await import(pathToFileURL(join(DIST, 'server/entry.mjs')).href)) as { handler: PageHandler };
  const guides = new MemoryGuideStore();
  const endFollowing = followGuideChanges(databaseUrl, guides);
  const front = createFront({
    pages: entry.handler,
    guides,
    beside: new BesideThread((options) => startThread('../server/front/besideWorker.ts', options)),
    clientFolder: join(DIST, 'client'),
    proxy: process.env.FOOTSTOOL_PROXY,
  });
  const queue = keepWorking();
  await new Promise<void>((listening, failed) => {
    front.once('error', failed);
    front.listen(Number(port), host, listening);
  });
  await showFirstOwnerCode(port);
  return new Promise((ended) => {
    const end = () => {
      front.close();
      front.closeAllConnections();
      void Promise.all([queue.end(), endFollowing()]).then(() => {
        ended(0);
        process.exit(0);
      });
    };
    for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, end);
  });
}

/** While nobody works here, says how the first owner begins. */
async function showFirstOwnerCode(port: string): Promise<void> {
  const isEmpty = process.env.FOOTSTOOL_DEMO !== '1' && (await isWithoutOwner().catch(() => false));
  await closeDatabase();
  if (!isEmpty) return;
  const address = process.env.FOOTSTOOL_ADDRESS || `http://localhost:${port}`;
  process.stdout.write(
    `footstool: nobody works here yet. Begin at ${address}/begin with the code ${firstOwnerCode()}\n`,
  );
}

function startThread(module: string, options: object = {}): Worker {
  return new Worker(new URL('./thread.mjs', import.meta.url), { ...options, workerData: { module } });
}

/** Keeps one thread at work on the queue; one that ends is replaced. */
function keepWorking(): { end(): Promise<void> } {
  let isEnding = false;
  let worker: Worker;
  const start = () => {
    worker = startThread('../server/queue/work.ts');
    worker.on('error', (error) => log.error({ err: error }, 'the thread of the queue failed'));
    worker.once('exit', () => {
      if (!isEnding) setTimeout(start, MS_BEFORE_NEW_WORKER);
    });
  };
  start();
  return {
    end: async () => {
      isEnding = true;
      const exited = new Promise((gone) => worker.once('exit', gone));
      worker.postMessage('end');
      await Promise.race([exited, new Promise((late) => setTimeout(late, 5000))]);
      await worker.terminate();
    },
  };
}
