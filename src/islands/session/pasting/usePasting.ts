import { useCallback, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { thingIndex, type ThingsByKey } from '../../../core/materials/index.ts';
import { type Edit, type Paragraph, readPasted, type Session } from '../../../core/session/index.ts';
import { type Pasted, pasteEdits, type PastedAt } from './pasteEdits.ts';

interface PastingInto {
  readonly session: Session;
  readonly things: ThingsByKey;
  readonly onEdit: (edit: Edit) => void;
  /** Makes edits of words that are being written. */
  readonly flush: () => void;
}

const NOTHING: ReadonlySet<string> = new Set();

/** Takes pasted pages into a session, and keeps what of the last one was guessed until somebody has looked at it. */
export function usePasting({ session, things, onEdit, flush }: PastingInto) {
  const [pasted, setPasted] = useState<(Pasted & { readonly leftOut: number }) | null>(null);
  const index = useMemo(() => thingIndex(things), [things]);
  const latest = useRef(session);
  latest.current = session;
  const paste = useCallback(
    (paragraphs: readonly Paragraph[], at: PastedAt | null) => {
      const { parts, leftOut } = readPasted(paragraphs, index);
      if (parts.length === 0) return;
      // What was written a moment ago belongs to the session that the page goes into.
      flushSync(flush);
      const taken = pasteEdits(latest.current, parts, at);
      onEdit(taken.edit);
      setPasted({ ...taken, leftOut });
    },
    [index, onEdit, flush],
  );
  const guessed = useMemo(() => (pasted ? new Set(pasted.guessed) : NOTHING), [pasted]);
  const pasting = useMemo(() => ({ paste, guessed }), [paste, guessed]);
  return { pasting, pasted, dismiss: () => setPasted(null) };
}
