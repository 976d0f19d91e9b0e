import { type Upgrade, upgradeFrom, type Versioned, withVersion } from '../contentVersion.ts';
import type { Term } from './term.ts';

/** What of a term is stored as one document: all but its name and its dates. */
export type TermBody = Omit<Term, 'title' | 'startsOn' | 'endsOn'>;

/** None yet: terms have kept their shape since they were first stored. The next change of it is the first. */
const UPGRADES: readonly Upgrade[] = [];

/** A stored term in today's shape, whenever it was stored. */
export function readTermBody(stored: Versioned): TermBody {
  return upgradeFrom(stored, UPGRADES);
}

/** A term as it is stored. */
export function writeTermBody(body: TermBody): TermBody & Versioned {
  return withVersion(body, UPGRADES);
}
