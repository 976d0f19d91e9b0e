import { leadOf, type Preparation, type PreparedSession } from '../calendar/index.ts';
import type { Segment, Session } from './session.ts';

/** What the parts of a session ask of the author and of homes beforehand. */
function partPreparations(parts: readonly Pick<Segment, 'id' | 'title' | 'ahead'>[]): Preparation[] {
  return parts.flatMap(({ id, title, ahead }) =>
    ahead.map((entry, index) => ({
      task: leadOf(`${id}/${index}`, entry),
      what: {
        kind: entry.who === 'author' ? ('prepare' as const) : ('homes-prepare' as const),
        text: entry.text,
        activity: title,
      },
    })),
  );
}

/** A session on the bench with what its parts ask for, and its sending if it has not gone out as it is now. */
export function benchPreparations(
  { id, session, sentAt, keptAt }: { id: string; session: Session; sentAt: string | null; keptAt: string },
  { sendWorkingDays }: { sendWorkingDays: number },
): PreparedSession {
  const isChanged = sentAt !== null && keptAt > sentAt;
  const sending: Preparation[] =
    sentAt === null || isChanged
      ? [{ task: { id: 'send', workingDays: sendWorkingDays }, what: { kind: 'send', isChanged } }]
      : [];
  return {
    id,
    title: session.title,
    on: session.on,
    at: session.at,
    stage: 'bench',
    mayMove: false,
    preparations: [
      { task: { id: 'hold', days: 0 }, what: { kind: 'hold' } },
      ...sending,
      ...partPreparations(session.segments),
    ],
  };
}

/** Open days before its sending by which a planned session is to be on the bench. */
const WORKING_DAYS_TO_WRITE = 3;

/** A session of the term that is not on the bench yet: to be written, with what its activities ask for. */
export function plannedPreparations(
  planned: Pick<PreparedSession, 'id' | 'title' | 'on' | 'at' | 'mayMove'>,
  parts: readonly Pick<Segment, 'id' | 'title' | 'ahead'>[],
  { sendWorkingDays }: { sendWorkingDays: number },
): PreparedSession {
  return {
    ...planned,
    stage: 'term',
    preparations: [
      { task: { id: 'hold', days: 0 }, what: { kind: 'hold' } },
      { task: { id: 'write', workingDays: sendWorkingDays + WORKING_DAYS_TO_WRITE }, what: { kind: 'write' } },
      ...partPreparations(parts),
    ],
  };
}
