import { parentPort } from 'node:worker_threads';
import { HERE, type KnownThing } from '../services/checkFile.ts';

parentPort!.on('message', ({ content, known }: { content: unknown; known: readonly KnownThing[] }) => {
  void HERE.checkFile(content, known).then((problems) => parentPort!.postMessage(problems));
});
