import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from '../threads/root.ts';
import { untilEnd, WITH_PARENT } from './untilEnd.ts';

const MS_BEFORE_NEW_WORKER = 2000;

/** `footstool serve`: one web and one worker, as processes of their own that end with this one, however it ends. */
export async function runServe(): Promise<number> {
  const served = serve(process.env);
  void untilEnd().then(() => served.end());
  return served.ended;
}

export interface Served {
  readonly web: ChildProcess;
  /** The exit code of the web, once both have gone. */
  readonly ended: Promise<number>;
  /** Lets both finish what is under way. */
  end(): void;
}

/** Starts a web and a worker. A worker that falls is started again; a web that ends, ends both. */
export function serve(environment: NodeJS.ProcessEnv): Served {
  let isEnding = false;
  const web = startChild('web', environment);
  const startWorker = (): ChildProcess =>
    startChild('worker', environment).once('exit', () => {
      if (!isEnding) again = setTimeout(() => (worker = startWorker()), MS_BEFORE_NEW_WORKER);
    });
  let again: NodeJS.Timeout | undefined;
  let worker = startWorker();
  const end = () => {
    isEnding = true;
    clearTimeout(again);
    web.kill('SIGTERM');
    worker.kill('SIGTERM');
  };
  const ended = gone(web).then(async (code) => {
    end();
    await gone(worker);
    return code;
  });
  return { web, ended, end };
}

function startChild(command: string, environment: NodeJS.ProcessEnv): ChildProcess {
  const child = spawn(join(ROOT, 'bin/footstool'), [command], {
    // Its end of the pipe closes when this process is gone.
    stdio: ['pipe', 'inherit', 'inherit'],
    env: { ...environment, [WITH_PARENT]: '1' },
  });
  child.stdin?.on('error', () => undefined);
  return child;
}

function gone(child: ChildProcess): Promise<number> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve(child.exitCode ?? 1);
  return new Promise((ended) => child.once('exit', (code) => ended(code ?? 1)));
}
