import { searchTerm } from '../core/terms/termSearch.ts';
import type { TermPlanInput } from '../core/terms/termScore.ts';

const SEED = 77;
const EFFORT = 3;

/** A longer search on another core while the solver proves the bound. */
self.onmessage = ({ data }: MessageEvent<TermPlanInput>) => self.postMessage(searchTerm(data, SEED, EFFORT));
