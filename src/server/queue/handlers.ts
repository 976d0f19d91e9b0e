import PQueue from 'p-queue';
import { isFirstWithin } from '../db/repositories/installation.ts';
import { postLetter, recoverLetters } from '../services/letters.ts';
import { printJob, recoverPrints, removeOldPrints } from '../services/printing.ts';
import { recoverChunks, writeQueuedChunk } from '../services/sendingChunks.ts';
import { forgetWhatIsOver } from '../services/forgetting.ts';
import { endPastReservations } from '../services/reservations.ts';
import { removeExpired } from '../services/signIn.ts';
import { backUpNightly } from '../backup/backups.ts';
import { startQueueWorker, type QueueWorker } from '../db/queue.ts';

const MINUTE_MS = 60_000;
const SECONDS_BETWEEN_SWEEPS = 50;
const MINUTES_BETWEEN_UPKEEP = 60;
/** Not at once: who starts is not to wait for it. */
const MINUTE_OF_BACKUP = 5;

/**
 * So many letters are one batch, all handed over at the same moment: a batch takes no longer than a slow mail server may for
 * one letter, which is less than the queue waits before it gives the batch to somebody else.
 */
const LETTERS_A_BATCH = 5;
/** The queue looks for a batch twice a second. */
const LETTERS_A_SECOND_BY_BATCH = 10;
const MOST_LETTERS_A_SECOND = 40;
const USUAL_LETTERS_A_SECOND = 20;

/** FOOTSTOOL_LETTERS_A_SECOND: how many letters this worker hands over in a second at most, from 1 to 40. */
function lettersASecond(): number {
  const set = Math.floor(Number(process.env.FOOTSTOOL_LETTERS_A_SECOND ?? USUAL_LETTERS_A_SECOND));
  return Number.isFinite(set) ? Math.min(MOST_LETTERS_A_SECOND, Math.max(1, set)) : USUAL_LETTERS_A_SECOND;
}

/** Works the queue off, takes up what a crash left behind, and clears away what has been kept long enough. */
export async function startWorking(onError: (error: Error) => void): Promise<QueueWorker> {
  const perSecond = lettersASecond();
  const batches = Math.ceil(perSecond / LETTERS_A_SECOND_BY_BATCH);
  const letters = new PQueue({ concurrency: batches * LETTERS_A_BATCH, intervalCap: perSecond, interval: 1000 });
  const worker = await startQueueWorker(
    {
      letters: {
        batches,
        batchSize: LETTERS_A_BATCH,
        work: async (jobs) =>
          void (await letters.addAll(
            jobs.map(
              ({ message = '' }) =>
                () =>
                  postLetter(message),
            ),
          )),
      },
      sendings: { batches: 1, batchSize: 1, work: async ([job]) => writeQueuedChunk(job?.chunk ?? '') },
      prints: { batches: 1, batchSize: 1, work: async ([job]) => printJob(job?.job ?? '') },
    },
    onError,
  );
  let minutes = 0;
  const everyMinute = async () => {
    // Of several workers one looks after what is due; one that has just begun looks at once for what a crash left.
    const isFirst = await isFirstWithin('swept', SECONDS_BETWEEN_SWEEPS);
    if (isFirst || minutes === 0) {
      await recoverChunks();
      await recoverLetters();
      await recoverPrints();
      if (minutes % MINUTES_BETWEEN_UPKEEP === 0) await upkeep();
      if (minutes % MINUTES_BETWEEN_UPKEEP === MINUTE_OF_BACKUP) await backUpNightly();
    }
    minutes += 1;
  };
  try {
    await everyMinute();
  } catch (error) {
    // Whoever tries again starts anew: this one works nothing off beside it.
    await worker.stop().catch(onError);
    throw error;
  }
  const timer = setInterval(() => void everyMinute().catch(onError), MINUTE_MS);
  return {
    stop: async () => {
      clearInterval(timer);
      await worker.stop();
    },
  };
}

/** Deletes what nobody needs any more: old files of the printer, sign-ins and links that have ended, guides and answers kept long enough. */
async function upkeep(): Promise<void> {
  await removeOldPrints();
  await removeExpired();
  await endPastReservations();
  await forgetWhatIsOver();
}
