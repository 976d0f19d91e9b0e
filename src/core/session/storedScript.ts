import { upgradeFrom, withVersion, type Upgrade, type Versioned } from '../contentVersion.ts';
import { partWithChoiceIds } from './choiceIds.ts';
import { withOwnIds, type Session } from './session.ts';

/** What of a session is stored as one document: its parts, and what was accepted on purpose. */
export type StoredScript = ScriptOfSession & Versioned;

/** What of a session stands in that document. */
type ScriptOfSession = Pick<Session, 'segments' | 'accepted' | 'kept' | 'minutes' | 'remarks'>;

/** Of parts with one id, kept before that was refused, the later get another; findings could not be accepted at first. */
const ownIds: Upgrade = ({
  segments,
  accepted = [],
  ...rest
}: Pick<Session, 'segments'> & { accepted?: Session['accepted'] }) => ({
  ...rest,
  segments: withOwnIds(segments),
  accepted,
});

/** Choices of makers were the words that stood on the screen. */
const choiceIds: Upgrade = (stored: ScriptOfSession) => ({
  ...stored,
  segments: stored.segments.map(partWithChoiceIds),
});

const UPGRADES: readonly Upgrade[] = [ownIds, choiceIds];

/** A stored script in today's shape, whenever it was stored. */
export function readScript(stored: Versioned): ScriptOfSession {
  return upgradeFrom(stored, UPGRADES);
}

/** A whole session as it went out, in today's shape. */
export function readWholeSession(stored: Versioned & Omit<Session, keyof ScriptOfSession>): Session {
  const { contentVersion: _version, ...session } = stored;
  return { ...session, ...readScript(stored) };
}

/** A whole session as it is stored when it goes out. */
export function writeWholeSession(session: Session): Session & Versioned {
  return { ...session, ...writeScript(session) };
}

/** A session's script as it is stored. A page or a file from before choices had ids may still bring their words. */
export function writeScript({ segments, accepted, kept, minutes, remarks }: ScriptOfSession): StoredScript {
  const beside = { ...(kept && { kept }), ...(minutes && { minutes }), ...(remarks && { remarks }) };
  return withVersion({ segments: segments.map(partWithChoiceIds), accepted, ...beside }, UPGRADES);
}
