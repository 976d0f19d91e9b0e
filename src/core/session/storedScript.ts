import { upgradeFrom, withVersion, type Upgrade, type Versioned } from '../contentVersion.ts';
import { withOwnIds, type Session } from './session.ts';

/** What of a session is stored as one document: its parts, and what was accepted on purpose. */
export type StoredScript = Pick<Session, 'segments' | 'accepted'> & Versioned;

/** Of parts with one id, kept before that was refused, the later get another; findings could not be accepted at first. */
const ownIds: Upgrade = ({
  segments,
  accepted = [],
}: Pick<Session, 'segments'> & { accepted?: Session['accepted'] }) => ({
  segments: withOwnIds(segments),
  accepted,
});

const UPGRADES: readonly Upgrade[] = [ownIds];

/** A stored script in today's shape, whenever it was stored. */
export function readScript(stored: Versioned): Pick<Session, 'segments' | 'accepted'> {
  return upgradeFrom(stored, UPGRADES);
}

/** A session's script as it is stored. */
export function writeScript({ segments, accepted }: Pick<Session, 'segments' | 'accepted'>): StoredScript {
  return withVersion({ segments, accepted }, UPGRADES);
}
