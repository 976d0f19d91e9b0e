import { postLetter, recoverLetters } from '../services/letters.ts';
import { printJob, recoverPrints, removeOldPrints } from '../services/printing.ts';
import { endPastReservations } from '../services/reservations.ts';
import { removeExpired } from '../services/signIn.ts';
import { backUpNightly } from '../backup/backups.ts';
import { startQueueWorker, type QueueWorker } from '../db/queue.ts';

const MINUTE_MS = 60_000;
const MINUTES_BETWEEN_UPKEEP = 60;
/** Not at once: who starts is not to wait for it. */
const MINUTE_OF_BACKUP = 5;

/** Works the queue off, takes up what a crash left behind, and clears away what has been kept long enough. */
export async function startWorking(onError: (error: Error) => void): Promise<QueueWorker> {
  const worker = await startQueueWorker(
    {
      letters: { atOnce: 3, work: ({ message = '' }) => postLetter(message) },
      prints: { atOnce: 1, work: ({ job = '' }) => printJob(job) },
    },
    onError,
  );
  let minutes = 0;
  const everyMinute = async () => {
    await recoverLetters();
    await recoverPrints();
    if (minutes % MINUTES_BETWEEN_UPKEEP === 0) await upkeep();
    if (minutes % MINUTES_BETWEEN_UPKEEP === MINUTE_OF_BACKUP) await backUpNightly();
    minutes += 1;
  };
  await everyMinute();
  const timer = setInterval(() => void everyMinute().catch(onError), MINUTE_MS);
  return {
    stop: async () => {
      clearInterval(timer);
      await worker.stop();
    },
  };
}

/** Deletes what nobody needs any more: old files of the printer, sign-ins and links that have ended. */
async function upkeep(): Promise<void> {
  await removeOldPrints();
  await removeExpired();
  await endPastReservations();
}
