import { askServer } from '../ui/askServer.ts';
import { useState } from 'react';
import type { Edit, Segment } from '../../core/session/index.ts';

interface FromShelfProps {
  readonly segment: Segment;
  readonly onEdit: (edit: Edit) => void;
}

/** Brings a part up to date with what the shelf says now; undo brings the other back. */
export function FromShelf({ segment, onEdit }: FromShelfProps) {
  const [word, setWord] = useState('');
  const renew = async () => {
    setWord('');
    const asked = await askServer<Segment>(`/api/shelf/parts/${segment.kind}/${encodeURIComponent(segment.from!)}`);
    if (!asked.ok) {
      setWord(
        asked.error?.code === 'not-found'
          ? 'It is not on the shelf any more; the part stays the same.'
          : 'The shelf cannot be reached at the moment; the part stays the same.',
      );
      return;
    }
    const fresh = asked.answer;
    if (isAsOnShelf(segment, fresh)) {
      setWord('It is as on the shelf already.');
      return;
    }
    onEdit({ do: 'replace-segment', segment: segment.id, by: fresh });
    setWord('It is as on the shelf now; “undo” brings yours back.');
  };
  return (
    <>
      <button type="button" onClick={() => void renew()} aria-label={`fetch again ${segment.title} from the shelf`}>
        fetch again
      </button>
      {word && <span role="status">{word}</span>}
    </>
  );
}

/** Whether a part says what the shelf says: its id, its level and where its dials stand are the session's own. */
function isAsOnShelf(segment: Segment, fresh: Segment): boolean {
  const told = ({ id: _id, level: _level, rightDials: _right, dials, ...rest }: Segment) => ({
    ...rest,
    dials: dials.map((dial) => ({ ...dial, value: undefined })),
  });
  return JSON.stringify(told(segment), sortedKeys) === JSON.stringify(told(fresh), sortedKeys);
}

function sortedKeys(_name: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([left], [right]) => (left < right ? -1 : 1)));
}
