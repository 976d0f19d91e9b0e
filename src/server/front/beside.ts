import type { FieldProblem } from '../../contracts/fieldProblem.ts';
import { Worker } from 'node:worker_threads';
import { EdgeError } from '../http/errors.ts';
import type { Beside } from '../services/checkFile.ts';

const MS_FOR_TASK = 10_000;
const MOST_WAITING = 8;
const MOST_MEGABYTES = 512;

interface Task {
  readonly message: object;
  readonly done: (problems: FieldProblem[]) => void;
  readonly failed: (error: EdgeError) => void;
}

/** One thread for long calculations: one after the other, each with a time limit, and not more in a row than can be waited for. */
export class BesideThread implements Beside {
  readonly #start: () => Worker;
  readonly #waiting: Task[] = [];
  #worker: Worker | null = null;
  #isBusy = false;

  /** `start` gives a thread that answers each message with a list of problems. */
  constructor(start: (options: { resourceLimits: { maxOldGenerationSizeMb: number } }) => Worker) {
    this.#start = () => start({ resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES } });
  }

  checkFile(...[content, known]: Parameters<Beside['checkFile']>): Promise<FieldProblem[]> {
    if (this.#waiting.length >= MOST_WAITING) return Promise.reject(new EdgeError('busy'));
    return new Promise((done, failed) => {
      this.#waiting.push({ message: { content, known }, done, failed });
      this.#next();
    });
  }

  #next(): void {
    if (this.#isBusy) return;
    const task = this.#waiting.shift();
    if (!task) return;
    this.#isBusy = true;
    const worker = (this.#worker ??= this.#start());
    worker.unref();
    const settle = (answer: FieldProblem[] | EdgeError) => {
      clearTimeout(timer);
      worker.off('message', told).off('error', lost).off('exit', lost);
      if (answer instanceof EdgeError) {
        this.#worker = null;
        worker.on('error', () => undefined);
        void worker.terminate();
        task.failed(answer);
      } else task.done(answer);
      this.#isBusy = false;
      this.#next();
    };
    const tooLong = new EdgeError('took-too-long', {
      problems: [{ path: 'The file', message: 'is too much to check at once; send it in smaller parts' }],
    });
    const told = (problems: FieldProblem[]) => settle(problems);
    const lost = () => settle(tooLong);
    const timer = setTimeout(lost, MS_FOR_TASK);
    worker.on('message', told).on('error', lost).on('exit', lost);
    worker.postMessage(task.message);
  }
}
