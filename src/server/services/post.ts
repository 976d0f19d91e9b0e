import { calibrate } from '../../core/time/index.ts';
import { roundTo } from '../../core/numbers/index.ts';
import {
  countPost,
  readPostHomes,
  readTimedParts,
  type PostCounts,
  type PostHome,
  type TimedPart,
} from '../db/repositories/post.ts';
import type { KeptDecision } from '../../contracts/keptDecision.ts';
import { readLatestSending } from '../db/repositories/sendings.ts';
import { readSession, type KeptSession } from '../db/repositories/sessions.ts';
import { EdgeError } from '../http/errors.ts';
import { findCorrections, type Correction } from './corrections.ts';
import { findMakerCorrections } from './makerCorrections.ts';
import { now } from '../clock.ts';
import type { Person } from './person.ts';
import { readSendingProgress } from '../db/repositories/sendingChunks.ts';
import { HOMES_A_PAGE } from './homes.ts';
import { secondsToUndo } from './sendingChunks.ts';

export { listPost } from '../db/repositories/post.ts';
export type { PostHome } from '../db/repositories/post.ts';

export interface PostDetail {
  readonly kept: KeptSession;
  /** The homes of the page that is shown. */
  readonly homes: readonly PostHome[];
  readonly counts: PostCounts;
  /** How far its newest sending has come. */
  readonly progress: { readonly waiting: number; readonly leftOut: number };
  /** Planned beside real minutes, in the order of the session, for parts that homes timed. */
  readonly timed: readonly { title: string; planned: number; real: number; homes: number }[];
  readonly corrections: readonly Correction[];
  /** What was decided about its words before it last went out. */
  readonly decisions: readonly KeptDecision[];
  /** Whether its newest sending may still be taken back. */
  readonly mayUndo: boolean;
}

/** Everything about one sent session: a fixed number of queries, however many homes. */
export async function readPost(person: Person, sessionId: string, page = 1): Promise<PostDetail> {
  const kept = await readSession(person.programmeId, sessionId, undefined, { withDeleted: true });
  if (!kept) throw new EdgeError('not-found');
  const { programmeId } = person;
  const [homes, counts, parts, progress] = await Promise.all([
    readPostHomes(programmeId, sessionId, { from: (Math.max(1, page) - 1) * HOMES_A_PAGE, most: HOMES_A_PAGE }),
    countPost(programmeId, sessionId),
    readTimedParts(programmeId, sessionId),
    readSendingProgress(sessionId),
  ]);
  const latest = await readLatestSending(sessionId);
  const decisions = latest?.decisions ?? [];
  const undoUntil = (latest?.sentAt.getTime() ?? 0) + secondsToUndo() * 1000;
  const keys = [
    ...new Set(kept.session.segments.flatMap(({ kind, from }) => (kind === 'activity' && from ? [from] : []))),
  ];
  const corrections = [...(await findCorrections(person, keys)), ...(await findMakerCorrections(person, kept.session))];
  const mayUndo = now().getTime() < undoUntil;
  return { kept, homes, counts, progress, timed: timedParts(kept, parts), corrections, decisions, mayUndo };
}

function timedParts({ session }: KeptSession, parts: readonly TimedPart[]): PostDetail['timed'] {
  const order = [...new Set([...session.segments.map(({ id }) => id), ...parts.map(({ segment }) => segment)])];
  return order.flatMap((segment) => {
    const timed = parts.find((part) => part.segment === segment);
    if (!timed) return [];
    const { title, planned, minutes } = timed;
    return [{ title, planned: roundTo(planned, 1), real: spreadOfAnswers(minutes), homes: minutes.length }];
  });
}

/** What planned minutes become when they are corrected by what was answered, with nothing held back. */
function spreadOfAnswers(minutes: readonly number[]): number {
  return calibrate(1, minutes, 0).likely;
}
