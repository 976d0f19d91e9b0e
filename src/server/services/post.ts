import { calibrate } from '../../core/time/index.ts';
import { roundTo } from '../../core/numbers/index.ts';
import { readPostHomes, type PostHome } from '../db/repositories/post.ts';
import type { KeptDecision } from '../../contracts/keptDecision.ts';
import { readLatestSending } from '../db/repositories/sendings.ts';
import { readSession, type KeptSession } from '../db/repositories/sessions.ts';
import { EdgeError } from '../http/errors.ts';
import { findCorrections, type Correction } from './corrections.ts';
import { findMakerCorrections } from './makerCorrections.ts';
import { now } from '../clock.ts';
import type { Person } from './person.ts';
import { secondsToUndo } from './sending.ts';

export { listPost } from '../db/repositories/post.ts';
export type { PostHome } from '../db/repositories/post.ts';

export interface PostDetail {
  readonly kept: KeptSession;
  readonly homes: readonly PostHome[];
  /** Planned beside real minutes, in the order of the session, for parts that homes timed. */
  readonly timed: readonly { title: string; planned: number; real: number; homes: number }[];
  readonly corrections: readonly Correction[];
  /** What was decided about its words before it last went out. */
  readonly decisions: readonly KeptDecision[];
  /** Whether its newest sending may still be taken back. */
  readonly mayUndo: boolean;
}

/** Everything about one sent session: a fixed number of queries, however many homes. */
export async function readPost(person: Person, sessionId: string): Promise<PostDetail> {
  const kept = await readSession(person.programmeId, sessionId, undefined, { withDeleted: true });
  if (!kept) throw new EdgeError('not-found');
  const homes = await readPostHomes(person.programmeId, sessionId);
  const latest = await readLatestSending(sessionId);
  const decisions = latest?.decisions ?? [];
  const undoUntil = (latest?.sentAt.getTime() ?? 0) + secondsToUndo() * 1000;
  const keys = [
    ...new Set(kept.session.segments.flatMap(({ kind, from }) => (kind === 'activity' && from ? [from] : []))),
  ];
  const corrections = [...(await findCorrections(person, keys)), ...(await findMakerCorrections(person, kept.session))];
  return { kept, homes, timed: timedParts(kept, homes), corrections, decisions, mayUndo: now().getTime() < undoUntil };
}

function timedParts({ session }: KeptSession, homes: readonly PostHome[]): PostDetail['timed'] {
  const parts = homes.flatMap(({ reply }) => reply?.parts ?? []);
  const order = [...new Set([...session.segments.map(({ id }) => id), ...parts.map(({ segment }) => segment)])];
  return order.flatMap((segment) => {
    const answers = parts.filter((part) => part.segment === segment && part.minutes !== null);
    if (answers.length === 0) return [];
    const { title } = answers.at(-1)!;
    const planned = roundTo(answers.reduce((sum, answer) => sum + answer.planned, 0) / answers.length, 1);
    const real = spreadOfAnswers(answers.map(({ minutes }) => minutes!));
    return [{ title, planned, real, homes: answers.length }];
  });
}

/** What planned minutes become when they are corrected by what was answered, with nothing held back. */
function spreadOfAnswers(minutes: readonly number[]): number {
  return calibrate(1, minutes, 0).likely;
}
