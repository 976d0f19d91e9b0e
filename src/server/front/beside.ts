import pLimit from 'p-limit';
import { Piscina } from 'piscina';
import { EdgeError } from '../http/errors.ts';
import type { Beside, BesideTask } from '../services/beside.ts';

const MS_FOR_TASK = 10_000;
const MOST_WAITING = 8;
const MOST_MEGABYTES = 512;
const NOT_IN_TIME = { path: 'The file', message: 'is too much to work through at once; send it in smaller parts' };

/**
 * One thread for long calculations, by the module of that file: one after the other, each with a limit on time and memory,
 * and not more in a row than can be waited for.
 */
export function startBeside(file: string, msForTask = MS_FOR_TASK): Beside {
  const threads = new Piscina({
    filename: file,
    minThreads: 0,
    maxThreads: 1,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  });
  // The time of a task begins with it, however long it waited for those before it.
  const oneByOne = pLimit(1);
  const ask = (task: BesideTask) => {
    if (oneByOne.pendingCount >= MOST_WAITING) return Promise.reject(new EdgeError('busy'));
    return oneByOne(() =>
      (threads.run(task, { signal: AbortSignal.timeout(msForTask) }) as Promise<never>).catch(() => {
        throw new EdgeError('took-too-long', { problems: [NOT_IN_TIME] });
      }),
    );
  };
  return {
    checkFile: (...given) => ask({ name: 'checkFile', given }),
    prepareRecording: (...given) => ask({ name: 'prepareRecording', given }),
  };
}
