import { closeDatabase } from '../server/db/connection.ts';
import { requireFittingSchema, UnfitSchema } from '../server/db/migrations/migrate.ts';
import { log } from '../server/log.ts';
import { startWorking } from '../server/queue/handlers.ts';
import { untilEnd } from './untilEnd.ts';

const MS_BEFORE_NEXT_TRY = 2000;

/** `footstool worker`: letters, prints and what is due by the clock. Waits for a database that is away. */
export async function runWorker(): Promise<number> {
  const ended = untilEnd();
  let isEnding = false;
  void ended.then(() => (isEnding = true));
  while (!isEnding) {
    try {
      await requireFittingSchema();
      const worker = await startWorking((error) => log.error({ err: error }, 'the queue stumbled'));
      await ended;
      await worker.stop();
    } catch (error) {
      if (error instanceof UnfitSchema) throw error;
      log.error({ err: error }, 'the worker could not begin');
      await Promise.race([ended, new Promise((next) => setTimeout(next, MS_BEFORE_NEXT_TRY))]);
    }
  }
  await closeDatabase();
  return 0;
}
