import { parentPort, workerData } from 'node:worker_threads';
import { isProved, planTermBy } from '../core/terms/index.ts';
import { linearSolver } from './highs.ts';
import type { SecondTask } from './planOnTwoCores.ts';
import { isTold, tell } from './signal.ts';

const { input, limits, way, signal } = (workerData as { task: SecondTask }).task;
const shouldStop = () => isTold(signal, 'done');
const planned = planTermBy(way, input, await linearSolver(limits), { shouldStop });
if (planned?.ok && isProved(planned.value)) tell(signal, 'done');
parentPort!.postMessage(planned);
