import type { CautionPolicy } from '../cautions/index.ts';
import type { ComposedSession } from '../guide/index.ts';
import type { HomeFit, SessionSafety } from '../homes/index.ts';
import type { ThingIndex, ThingsByKey } from '../materials/index.ts';
import { listOf, type Message, type MessageList, type MessageValues, own } from '../message.ts';
import type { Edit, PlacesByItem, Segment, Session } from '../session/index.ts';
import type { SaidLine } from './saidLines.ts';
import type { Surroundings } from './surroundings.ts';

/** `note` explains, `warning` asks for a decision, `stop` keeps the session from being sent. */
type FindingWeight = 'note' | 'warning' | 'stop';

/** What a check noticed about a part; its sentences speak of the values, by the names in `messages/findings`. */
export interface Noticed {
  /** Names the finding for good: what was accepted on purpose is kept by it. */
  readonly id: string;
  readonly weight: FindingWeight;
  readonly line?: string | undefined;
  readonly values?: MessageValues | undefined;
  readonly remedy?: Edit | undefined;
}

/** A part of a session with all that a check may look at. */
export interface CheckedPart {
  readonly part: ComposedSession['segments'][number];
  readonly segment: Segment;
  readonly session: Session;
  readonly composed: ComposedSession;
  /** The lines of the part at its level, as they are said. */
  readonly said: readonly SaidLine[];
  readonly fits: readonly HomeFit[];
  readonly things: ThingsByKey;
  readonly names: ThingIndex;
  readonly places: PlacesByItem;
  readonly policy: CautionPolicy;
  readonly safety: SessionSafety;
  readonly around: Surroundings;
}

/** Looks at one part and says what it noticed. */
export type Check = (looked: CheckedPart) => readonly Noticed[];

/** Homes that are named one by one before the rest is counted. */
const MOST_NAMED = 3;

/** Homes by their nicknames: the first few, and how many more. */
export function namedHomes(nicknames: readonly string[]): MessageList {
  const rest = nicknames.length - MOST_NAMED;
  const more: Message[] = rest > 0 ? [{ key: 'findings/more', values: { count: rest } }] : [];
  return listOf([...nicknames.slice(0, MOST_NAMED).map(own), ...more]);
}
