import { useEffect, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import {
  applyChanges,
  type Change,
  changesBetween,
  MOST_CHANGES,
  mergeSessions,
  type Session,
} from '../../core/session/index.ts';
import { draftNamed } from '../autosave/draft.ts';
import { useNewsStream } from '../autosave/newsStream.ts';
import type { SentChanges } from '../autosave/serverCopy.ts';
import { askServer } from '../ui/askServer.ts';
import { placeOfCaret } from './useOthersHere.ts';
import type { Writers } from './script/writers.ts';

interface SharedBy {
  /** Whose drafts are read and written here. */
  readonly person: string;
  readonly mayWrite: boolean;
  /** The one that the page came with. */
  readonly revision: number;
  readonly writers: Writers;
  readonly follow: (others: (session: Session) => Session) => void;
}

/** What of a session is not known to be kept: what was sent without an answer, and what was changed after it. */
interface SessionDraft {
  readonly sent: SentChanges | null;
  readonly more: readonly Change[];
}

const draftOf = (id: string, person: string) =>
  draftNamed<SessionDraft | readonly Change[]>(`draft of ${id} by ${person}`);

/** What lies on this device. Earlier versions wrote changes alone. */
function readDraft(id: string, person: string): SessionDraft | null {
  const draft = draftOf(id, person).read();
  if (draft === null || typeof draft !== 'object') return null;
  return 'more' in draft ? draft : { sent: null, more: draft };
}

/** How a session is written by several at once, and survives a page that is closed in the middle of a word. */
export function useSharing(id: string, { person, mayWrite, revision, writers, follow }: SharedBy) {
  const news = useNewsStream(`/api/sessions/${id}/news`);
  const [changedLine, setChangedLine] = useState('');
  // What this device did not get kept the last time comes in once the page is there.
  useEffect(() => {
    const draft = mayWrite ? readDraft(id, person) : null;
    if (!draft) return;
    const takeIn = (changes: readonly Change[]) => follow((session) => applyChanges(session, changes));
    const { sent, more } = draft;
    if (!sent) takeIn(more);
    else
      void askServer<{ arrivedAs: number | null }>(`/api/sessions/${id}?edit=${sent.key}`).then((asked) => {
        const arrivedAs = asked.ok ? asked.answer.arrivedAs : null;
        const isIn = arrivedAs !== null && arrivedAs <= revision;
        takeIn(isIn ? more : [...(sent.changes as readonly Change[]), ...more]);
      });
  }, [id, person, mayWrite, revision, follow]);
  const sharing = useMemo(
    () => ({
      news,
      changesBetween,
      mostChanges: MOST_CHANGES,
      draft: {
        write: (sent: SentChanges | null, more: readonly unknown[]) =>
          draftOf(id, person).write({ sent, more: more as readonly Change[] }),
        drop: () => draftOf(id, person).drop(),
      },
      flushNow: () => flushSync(writers.flush),
      onOthers: (before: Session, theirs: Session) => {
        flushSync(writers.flush);
        follow((ours) => mergeSessions({ before, ours, theirs }));
        const place = placeOfCaret();
        const words = wordsAt(theirs, place);
        if (words !== undefined && words !== wordsAt(before, place)) setChangedLine(words);
      },
    }),
    [id, person, writers, news, follow],
  );
  return {
    sharing,
    /** What others do, told at once. */
    news,
    /** What somebody else last made of the line that the caret was in; empty where nobody did. */
    changedLine,
  };
}

function wordsAt({ segments }: Session, { part, line }: ReturnType<typeof placeOfCaret>): string | undefined {
  return segments.find(({ id }) => id === part)?.lines.find(({ id }) => id === line)?.text;
}
