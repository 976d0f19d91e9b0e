import { workerData } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

// Threads do not inherit the loader for TypeScript that the command line starts with, so each registers its own.
register();
await import(workerData.module);
