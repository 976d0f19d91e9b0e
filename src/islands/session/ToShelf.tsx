import { useState } from 'react';
import { keyFromTitle } from '../../contracts/keyFromTitle.ts';
import { formatPieces } from '../../core/expressions/index.ts';
import type { ComposedSegment } from '../../core/guide/index.ts';
import type { Edit, Segment, Session } from '../../core/session/index.ts';
import { activityFromSegment } from '../../core/shelf/index.ts';
import { askServer } from '../ui/askServer.ts';
import { forgetAnswer } from '../ui/useServerAnswer.ts';
import { ADDABLES } from './AddPart.tsx';

interface ToShelfProps {
  readonly part: ComposedSegment;
  readonly ages: Session['ages'];
  readonly onEdit: (edit: Edit) => void;
  /** It stands on the shelf under this key. */
  readonly onShelf: (key: string) => void;
}

const LONGEST_IDEA = 300;

/** What happens in a part, from what it is for or its first lines. */
function ideaOf({ segment, lines }: ComposedSegment): string {
  if (segment.aim) return segment.aim;
  const said = lines.flatMap(({ line, text }) => (line.kind === 'do' && text.ok ? [formatPieces(text.value)] : []));
  return said.slice(0, 2).join(' ').slice(0, LONGEST_IDEA) || segment.title;
}

/** Puts a part of an author's own on the shelf, for other sessions. */
export function ToShelf({ part, ages, onEdit, onShelf }: ToShelfProps) {
  const { segment } = part;
  const [word, setWord] = useState('');
  const put = async () => {
    setWord('');
    const key = keyFromTitle(segment.title);
    const entry = activityFromSegment(segment, { key, idea: ideaOf(part), ages });
    const kept = await askServer<{ key: string }>('/api/shelf/entries/activity/new', {
      method: 'PUT',
      json: { entry },
    });
    if (!kept.ok) return setWord(refusalOf(kept.error?.problems?.[0] ?? null));
    const asked = await askServer<Segment>(`/api/shelf/parts/activity/${encodeURIComponent(key)}`);
    forgetAnswer(ADDABLES);
    onShelf(key);
    if (asked.ok) onEdit({ do: 'replace-segment', segment: segment.id, by: asked.answer });
  };
  return (
    <>
      <button type="button" onClick={() => void put()} aria-label={`put ${segment.title} on the shelf`}>
        put on the shelf
      </button>
      {word && <span role="status">{word}</span>}
    </>
  );
}

function refusalOf(problem: { readonly path: string; readonly message: string } | null): string {
  if (!problem) return 'The shelf can’t be reached at the moment. Try again in a minute.';
  if (problem.path === 'key') return 'There’s something of that name on the shelf. Give this part another title.';
  return `The shelf won’t take it yet: ${problem.message}.`;
}
