import type { Worker } from 'node:worker_threads';
import { startThread } from '../../threads/startThread.ts';

/** The answer to one input as JSON text, or what is wrong with it. */
export type CalcText = { readonly json: string } | { readonly error: string };

/** Every input is answered or refused within ten seconds, a term plan within twenty-five: docs of the contract. */
const SECONDS = 8.5;
const SECONDS_BY_NAME: Readonly<Record<string, number>> = { 'term-plan': 23.5 };
const MOST_MEGABYTES = 1500;

/** Works one calculation out in a thread of its own, so that one that takes too long or too much is stopped and the next goes on. */
export class CalcBench {
  readonly #name: string;
  readonly #seconds: number;
  #worker: Worker | null = null;

  /** `seconds` for an answer, where it is not as the contract has it. */
  constructor(name: string, { seconds = SECONDS_BY_NAME[name] ?? SECONDS }: { seconds?: number } = {}) {
    this.#name = name;
    this.#seconds = seconds;
  }

  /** The answer to one input; what takes too long is refused, naming what to do. */
  answer(text: string): Promise<CalcText> {
    const worker = (this.#worker ??= this.#start());
    const seconds = this.#seconds;
    return new Promise((resolve) => {
      const settle = (answer: CalcText, isLost: boolean) => {
        clearTimeout(timer);
        worker.off('message', told).off('error', failed).off('exit', gone);
        if (isLost) {
          this.#worker = null;
          worker.on('error', () => undefined);
          void worker.terminate();
        }
        resolve(answer);
      };
      const tooLarge = 'make the input smaller: fewer or shorter lists, smaller numbers';
      const told = (answer: CalcText) => settle(answer, false);
      const failed = () => settle({ error: `$: needs more room than there is; ${tooLarge}` }, true);
      const gone = () => settle({ error: `$: could not be worked out; ${tooLarge}` }, true);
      const late = () => settle({ error: `$: took longer than ${seconds} seconds and was stopped; ${tooLarge}` }, true);
      const timer = setTimeout(late, seconds * 1000);
      worker.on('message', told).on('error', failed).on('exit', gone);
      worker.postMessage(text);
    });
  }

  async end(): Promise<void> {
    await this.#worker?.terminate();
  }

  #start(): Worker {
    return startThread('calc', {
      workerData: { name: this.#name },
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
    });
  }
}
