import { parentPort } from 'node:worker_threads';
import { doTask, type BesideTask } from '../services/beside.ts';

parentPort!.on('message', (task: BesideTask) => {
  void doTask(task).then((answer) => parentPort!.postMessage(answer));
});
