import { useState, type KeyboardEvent } from 'react';
import type { ComposedLine } from '../../core/guide/index.ts';
import { type Edit, LINE_KINDS, type LineKind, type Segment } from '../../core/session/index.ts';
import { newId } from '../autosave/newId.ts';

const KIND_PREFIX = new RegExp(`^(${LINE_KINDS.join('|')}):\\s`, 'i');

interface LineWriterProps {
  readonly composed: ComposedLine;
  readonly segment: Segment;
  readonly position: number;
  readonly onEdit: (edit: Edit) => void;
  readonly onWriting: (line: string | null) => void;
}

/** The source of a line while it is written. A kind and a colon at its start set the kind; Enter goes on to a new line. */
export function LineWriter({ composed: { line }, segment, position, onEdit, onWriting }: LineWriterProps) {
  const [source, setSource] = useState(line.text);
  const [answer, setAnswer] = useState(line.answer ?? '');
  const at = { segment: segment.id, line: line.id };
  const commit = () => {
    const change = { text: source, answer: answer || undefined };
    if (change.text !== line.text || change.answer !== line.answer) onEdit({ do: 'change-line', ...at, change });
  };
  /** Ends writing and keeps what was written; a line without words is taken out, so that no home sees an empty one. */
  const finish = () => {
    if (source.trim() === '') onEdit({ do: 'remove-line', ...at });
    else commit();
    onWriting(null);
  };
  const write = (words: string) => {
    const kind = KIND_PREFIX.exec(words)?.[1]?.toLowerCase() as LineKind | undefined;
    setSource(kind ? words.replace(KIND_PREFIX, '') : words);
    if (kind) onEdit({ do: 'change-line', ...at, change: { kind } });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      event.preventDefault();
      finish();
    } else if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault();
      commit();
      const id = newId();
      onEdit({ do: 'add-line', segment: segment.id, at: position + 1, line: { id, kind: 'do', text: '' } });
      onWriting(id);
    } else if (event.key === 'Backspace' && source === '') {
      event.preventDefault();
      onEdit({ do: 'remove-line', ...at });
      onWriting(null);
    }
  };
  return (
    <div
      className="line-writer"
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) finish();
      }}
    >
      <textarea
        autoFocus
        rows={Math.max(1, Math.ceil(source.length / 70))}
        aria-label={`Words of line ${position + 1}`}
        value={source}
        maxLength={2000}
        onChange={(event) => write(event.target.value)}
        onKeyDown={onKeyDown}
      />
      {line.kind === 'ask' && <AnswerInput {...{ position, answer }} onType={setAnswer} onLeave={finish} />}
    </div>
  );
}

interface AnswerInputProps {
  readonly position: number;
  readonly answer: string;
  readonly onType: (answer: string) => void;
  readonly onLeave: () => void;
}

function AnswerInput({ position, answer, onType, onLeave }: AnswerInputProps) {
  return (
    <input
      aria-label={`Expected answer of line ${position + 1}`}
      placeholder="the answer one may expect"
      value={answer}
      maxLength={500}
      onChange={(event) => onType(event.target.value)}
      onKeyDown={(event) => event.key === 'Escape' && onLeave()}
    />
  );
}
