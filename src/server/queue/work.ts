import { parentPort } from 'node:worker_threads';
import { closeDatabase } from '../db/connection.ts';
import { log } from '../log.ts';
import { startWorking } from './handlers.ts';

// The thread beside the server. A message ends it; what it could not end is taken up by the next one.
const worker = await startWorking((error) => log.error({ err: error }, 'the queue stumbled'));
parentPort?.once('message', () => {
  void worker
    .stop()
    .then(closeDatabase)
    .finally(() => process.exit(0));
});
