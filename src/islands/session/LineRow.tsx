import { type Edit, LINE_KINDS, type LineKind, type Segment } from '../../core/session/index.ts';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { lazy, Suspense, useState, type ButtonHTMLAttributes, type KeyboardEvent } from 'react';
import type { ComposedLine } from '../../core/guide/index.ts';
import type { TextPiece } from '../../core/expressions/index.ts';
import { DialChip } from './DialChip.tsx';
import type { WordChecks } from './WordCheck.tsx';
import { newId } from '../autosave/newId.ts';

interface LineRowProps {
  readonly composed: ComposedLine;
  readonly segment: Segment;
  readonly position: number;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
  readonly startsInWriting: boolean;
  readonly onWriting: (line: string | null) => void;
  readonly wordChecks: WordChecks;
}

/** Fetched when it is first asked for. */
const WordCheck = lazy(() => import('./WordCheck.tsx').then((module) => ({ default: module.WordCheck })));

const ROLE_WORDS = { older: 'the older child', younger: 'the little one' } as const;

/** One line of the script: its kind in the gutter, its words with live dials, or its source while it is written. */
export function LineRow(props: LineRowProps) {
  const { composed, segment, position, mayWrite, onEdit, startsInWriting, onWriting } = props;
  const [checksWords, setChecksWords] = useState(false);
  const { line, text } = composed;
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: line.id,
    disabled: !mayWrite,
  });
  const move = (by: number) => onEdit({ do: 'move-line', segment: segment.id, line: line.id, to: position + by });
  const onKeyDown = (event: KeyboardEvent) => {
    if (!event.altKey || !mayWrite || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    event.preventDefault();
    move(event.key === 'ArrowUp' ? -1 : 1);
  };

  return (
    <li
      ref={setNodeRef}
      className={`line line-${line.kind}${isDragging ? ' is-dragging' : ''}`}
      style={{ gridRow: position + 2, transform: CSS.Translate.toString(transform), transition }}
      onKeyDown={onKeyDown}
    >
      <KindWord
        kind={line.kind}
        mayWrite={mayWrite}
        onChoose={(kind) => onEdit({ do: 'change-line', segment: segment.id, line: line.id, change: { kind } })}
      />
      {startsInWriting ? (
        <LineWriter {...{ composed, segment, position, onEdit, onWriting }} />
      ) : (
        <div className="pl-4.5 pr-4 leading-normal">
          <LineWords {...{ composed, segment, mayWrite, onEdit }} />
          {line.why && <span className="ml-2.5 text-soft text-xs">{line.why}</span>}
          {mayWrite && (
            <LineTools
              {...{ position, checksWords }}
              mover={{ ...attributes, ...listeners }}
              onWrite={() => onWriting(line.id)}
              onCheck={() => setChecksWords(!checksWords)}
              onTakeOut={() => onEdit({ do: 'remove-line', segment: segment.id, line: line.id })}
            />
          )}
          {checksWords && text.ok && (
            <Suspense>
              <WordCheck
                {...{ line, segment, onEdit }}
                text={text.value.map((piece) => piece.text).join('')}
                checks={props.wordChecks}
                onClose={() => setChecksWords(false)}
              />
            </Suspense>
          )}
        </div>
      )}
    </li>
  );
}

/** What a line says, with its dials, and the answer one may expect. */
function LineWords({
  composed: { line, text, answer },
  segment,
  mayWrite,
  onEdit,
}: Pick<LineRowProps, 'composed' | 'segment' | 'mayWrite' | 'onEdit'>) {
  const pieces = (rendered: ComposedLine['text'], source: string) =>
    rendered.ok ? (
      rendered.value.map((piece, index) => <PieceView key={index} {...{ piece, segment, onEdit, mayWrite }} />)
    ) : (
      <span className="border-b-2 border-red">{source}</span>
    );
  return (
    <span className="line-text">
      {line.role && <span className="text-soft">{ROLE_WORDS[line.role]}: </span>}
      {pieces(text, line.text)}
      {line.answer && answer && <span className="text-soft text-sm"> → {pieces(answer, line.answer)}</span>}
    </span>
  );
}

interface LineToolsProps {
  readonly position: number;
  readonly checksWords: boolean;
  /** What makes a button take the line up to move it. */
  readonly mover: ButtonHTMLAttributes<HTMLButtonElement>;
  readonly onWrite: () => void;
  readonly onCheck: () => void;
  readonly onTakeOut: () => void;
}

function LineTools({ position, checksWords, mover, onWrite, onCheck, onTakeOut }: LineToolsProps) {
  const line = `line ${position + 1}`;
  return (
    <span className="line-tools">
      <button type="button" onClick={onWrite} aria-label={`write ${line}`}>
        write
      </button>
      <button type="button" aria-pressed={checksWords} onClick={onCheck} aria-label={`check the words of ${line}`}>
        words
      </button>
      <button type="button" {...mover} aria-label={`move ${line}`}>
        move
      </button>
      <button type="button" onClick={onTakeOut} aria-label={`take out ${line}`}>
        take out
      </button>
    </span>
  );
}

function KindWord({
  kind,
  mayWrite,
  onChoose,
}: {
  kind: LineKind;
  mayWrite: boolean;
  onChoose: (kind: LineKind) => void;
}) {
  if (!mayWrite) return <span className="kind-word">{kind}</span>;
  return (
    <select
      className="kind-word"
      aria-label="Kind of line"
      value={kind}
      onChange={(event) => onChoose(event.target.value as LineKind)}
    >
      {LINE_KINDS.map((word) => (
        <option key={word}>{word}</option>
      ))}
    </select>
  );
}

interface PieceViewProps {
  readonly piece: TextPiece;
  readonly segment: Segment;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
}

function PieceView({ piece, segment, mayWrite, onEdit }: PieceViewProps) {
  if (piece.kind === 'text') return <>{piece.text}</>;
  if (piece.kind === 'dial') {
    const dial = segment.dials.find(({ name }) => name === piece.name);
    if (!dial) return <span className="computed">{piece.text}</span>;
    return (
      <DialChip
        dial={dial}
        mayWrite={mayWrite}
        onTurn={(value) => onEdit({ do: 'turn-dial', segment: segment.id, dial: dial.name, value })}
      />
    );
  }
  if (piece.kind === 'computed' && /\d/.test(piece.text)) {
    return (
      <span className="computed" title={piece.expression}>
        {piece.text}
      </span>
    );
  }
  return <>{piece.text}</>;
}

const KIND_PREFIX = new RegExp(`^(${LINE_KINDS.join('|')}):\\s`, 'i');

interface LineWriterProps {
  readonly composed: ComposedLine;
  readonly segment: Segment;
  readonly position: number;
  readonly onEdit: (edit: Edit) => void;
  readonly onWriting: (line: string | null) => void;
}

/** The source of a line while it is written. A kind and a colon at its start set the kind; Enter goes on to a new line. */
function LineWriter({ composed: { line }, segment, position, onEdit, onWriting }: LineWriterProps) {
  const [source, setSource] = useState(line.text);
  const [answer, setAnswer] = useState(line.answer ?? '');
  const at = { segment: segment.id, line: line.id };
  const commit = () => {
    const change = { text: source, answer: answer || undefined };
    if (change.text !== line.text || change.answer !== line.answer) onEdit({ do: 'change-line', ...at, change });
  };
  /** Ends writing; a line that holds no words is taken out, so that no home sees an empty one. */
  const leave = (words: string) => {
    if (words.trim() === '') onEdit({ do: 'remove-line', ...at });
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
      leave(line.text);
    } else if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault();
      commit();
      const id = newId();
      onEdit({ do: 'add-line', segment: segment.id, at: position + 1, line: { id, kind: line.kind, text: '' } });
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
        if (event.currentTarget.contains(event.relatedTarget)) return;
        if (source.trim() !== '') commit();
        leave(source);
      }}
    >
      <textarea
        autoFocus
        rows={Math.max(1, Math.ceil(source.length / 70))}
        aria-label={`Words of line ${position + 1}. Braces hold dials and sums.`}
        value={source}
        maxLength={2000}
        onChange={(event) => write(event.target.value)}
        onKeyDown={onKeyDown}
      />
      {line.kind === 'ask' && (
        <AnswerInput {...{ position, answer }} onType={setAnswer} onLeave={() => leave(line.text)} />
      )}
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
