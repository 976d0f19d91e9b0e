import { useEffect, useMemo } from 'react';
import { flushSync } from 'react-dom';
import { applyChanges, type Change, changesBetween, mergeSessions, type Session } from '../../core/session/index.ts';
import { draftNamed } from '../autosave/draft.ts';
import type { Writers } from './script/writers.ts';

interface SharedBy {
  /** Whose drafts are read and written here. */
  readonly person: string;
  readonly mayWrite: boolean;
  readonly writers: Writers;
  readonly follow: (others: (session: Session) => Session) => void;
}

/** What of a session was not kept before its page was closed, as changes. */
const draftOf = (id: string, person: string) => draftNamed<readonly Change[]>(`draft of ${id} by ${person}`);

/** How a session is written by several at once, and survives a page that is closed in the middle of a word. */
export function useSharing(id: string, { person, mayWrite, writers, follow }: SharedBy) {
  // What this device did not get kept the last time comes in once the page is there.
  useEffect(() => {
    const changes = mayWrite ? draftOf(id, person).read() : null;
    if (Array.isArray(changes)) follow((session) => applyChanges(session, changes as readonly Change[]));
  }, [id, person, mayWrite, follow]);
  return useMemo(
    () => ({
      draft: {
        write: (kept: Session, value: Session) => draftOf(id, person).write(changesBetween(kept, value)),
        drop: () => draftOf(id, person).drop(),
      },
      flushNow: () => flushSync(writers.flush),
      onOthers: (before: Session, theirs: Session) => {
        flushSync(writers.flush);
        follow((ours) => mergeSessions({ before, ours, theirs }));
      },
    }),
    [id, person, writers, follow],
  );
}
