import { closeDatabase, isDatabaseAway } from '../server/db/connection.ts';
import { requireFittingSchema, UnfitSchema } from '../server/db/migrations/migrate.ts';
import { log } from '../server/log.ts';
import { startWorking } from '../server/queue/handlers.ts';
import { untilEnd } from './untilEnd.ts';

const MS_BEFORE_NEXT_TRY = 2000;
/** The letter that is being posted may take as long as a mail server is waited for. */
const MS_TO_FINISH = 30_000;
const MS_TO_CLOSE = 3000;

/** `footstool worker`: letters, prints and what is due by the clock. Waits for a database that is away. */
export async function runWorker(): Promise<number> {
  // The queue lets go of statements of its own that the database cut off; what it was doing is tried again.
  process.on('unhandledRejection', (error) => {
    if (!isDatabaseAway(error)) throw error;
    log.warn({ err: error }, 'the database is away');
  });
  const ended = untilEnd();
  let isEnding = false;
  void ended.then(() => (isEnding = true));
  while (!isEnding) {
    try {
      await requireFittingSchema();
      const worker = await startWorking((error) => log.error({ err: error }, 'the queue stumbled'));
      await ended;
      await within(MS_TO_FINISH, worker.stop());
    } catch (error) {
      if (error instanceof UnfitSchema) throw error;
      log.error({ err: error }, 'the worker could not begin');
      await Promise.race([ended, wait(MS_BEFORE_NEXT_TRY)]);
    }
  }
  await within(MS_TO_CLOSE, closeDatabase());
  // Nothing that still waits for a database that is gone keeps this process.
  process.exit(0);
}

const wait = (ms: number) => new Promise((next) => setTimeout(next, ms));

/** Waits for work so long at most; that it fails is no matter any more. */
async function within(ms: number, work: Promise<unknown>): Promise<void> {
  await Promise.race([work.catch((error: unknown) => log.warn({ err: error }, 'ended all the same')), wait(ms)]);
}
