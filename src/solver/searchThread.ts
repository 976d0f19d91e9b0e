import { parentPort, workerData } from 'node:worker_threads';
import { searchTerm } from '../core/terms/termSearch.ts';
import type { TermPlanInput } from '../core/terms/termScore.ts';

/** A longer search with a seed of its own, on another core, while the solver proves the bound. */
const { input, seed, effort } = workerData as { input: TermPlanInput; seed: number; effort: number };
parentPort!.postMessage(searchTerm(input, seed, effort));
