import { Worker } from 'node:worker_threads';
import { EdgeError } from '../http/errors.ts';
import type { Beside, BesideTask } from '../services/beside.ts';

const MS_FOR_TASK = 10_000;
const MOST_WAITING = 8;
const MOST_MEGABYTES = 512;
const NOT_IN_TIME = { path: 'The file', message: 'is too much to work through at once; send it in smaller parts' };

interface Queued {
  readonly task: BesideTask;
  readonly done: (answer: never) => void;
  readonly failed: (error: EdgeError) => void;
}

/** One thread for long calculations: one after the other, each with a time limit, and not more in a row than can be waited for. */
export class BesideThread implements Beside {
  readonly #start: () => Worker;
  readonly #waiting: Queued[] = [];
  #worker: Worker | null = null;
  #isBusy = false;

  /** `start` gives a thread that answers each task. */
  constructor(start: (options: { resourceLimits: { maxOldGenerationSizeMb: number } }) => Worker) {
    this.#start = () => start({ resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES } });
  }

  checkFile(...given: Parameters<Beside['checkFile']>): ReturnType<Beside['checkFile']> {
    return this.#ask({ name: 'checkFile', given });
  }

  prepareRecording(...given: Parameters<Beside['prepareRecording']>): ReturnType<Beside['prepareRecording']> {
    return this.#ask({ name: 'prepareRecording', given });
  }

  #ask<Answer>(task: BesideTask): Promise<Answer> {
    if (this.#waiting.length >= MOST_WAITING) return Promise.reject(new EdgeError('busy'));
    return new Promise((done, failed) => {
      this.#waiting.push({ task, done: done as Queued['done'], failed });
      this.#next();
    });
  }

  #next(): void {
    if (this.#isBusy) return;
    const queued = this.#waiting.shift();
    if (!queued) return;
    this.#isBusy = true;
    const worker = (this.#worker ??= this.#start());
    worker.unref();
    const settle = (answer: unknown) => {
      clearTimeout(timer);
      worker.off('message', told).off('error', lost).off('exit', lost);
      if (answer instanceof EdgeError) {
        this.#worker = null;
        worker.on('error', () => undefined);
        void worker.terminate();
        queued.failed(answer);
      } else queued.done(answer as never);
      this.#isBusy = false;
      this.#next();
    };
    const tooLong = new EdgeError('took-too-long', { problems: [NOT_IN_TIME] });
    const told = (answer: unknown) => settle(answer);
    const lost = () => settle(tooLong);
    const timer = setTimeout(lost, MS_FOR_TASK);
    worker.on('message', told).on('error', lost).on('exit', lost);
    worker.postMessage(queued.task);
  }
}
