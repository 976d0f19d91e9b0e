import { type Edit, LINE_KINDS, type LineKind, numbersIn, type Segment } from '../../core/session/index.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { lazy, Suspense, useState, type ButtonHTMLAttributes, type KeyboardEvent } from 'react';
import type { ComposedLine } from '../../core/guide/index.ts';
import type { TextPiece } from '../../core/expressions/index.ts';
import { DialChip } from './DialChip.tsx';
import type { WordChecks } from './WordCheck.tsx';
import { LineWriter } from './LineWriter.tsx';

interface LineRowProps {
  readonly composed: ComposedLine;
  readonly segment: Segment;
  readonly position: number;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
  readonly startsInWriting: boolean;
  readonly onWriting: (line: string | null) => void;
  readonly wordChecks: WordChecks;
  readonly things: ThingsByKey;
}

/** Fetched when it is first asked for. */
const AdjustNumber = lazy(() => import('./AdjustNumber.tsx').then((module) => ({ default: module.AdjustNumber })));
/** The same. */
const WordCheck = lazy(() => import('./WordCheck.tsx').then((module) => ({ default: module.WordCheck })));

const ROLE_WORDS = { older: 'the older child', younger: 'the little one' } as const;

/** One line of the script: its kind in the gutter, its words with live dials, or its source while it is written. */
export function LineRow(props: LineRowProps) {
  const { composed, segment, position, mayWrite, onEdit, startsInWriting, onWriting } = props;
  const [checksWords, setChecksWords] = useState(false);
  const [adjusting, setAdjusting] = useState<number | null>(null);
  const { line } = composed;
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
              numbers={segment.made ? [] : numbersIn(line.text)}
              onAdjust={setAdjusting}
              onWrite={() => onWriting(line.id)}
              onCheck={() => setChecksWords(!checksWords)}
              onTakeOut={() => onEdit({ do: 'remove-line', segment: segment.id, line: line.id })}
            />
          )}
          <LinePanels
            {...props}
            {...{ adjusting, checksWords }}
            onClose={() => {
              setAdjusting(null);
              setChecksWords(false);
            }}
          />
        </div>
      )}
    </li>
  );
}

interface LinePanelsProps extends LineRowProps {
  readonly adjusting: number | null;
  readonly checksWords: boolean;
  readonly onClose: () => void;
}

/** What opens below a line: a number to be made adjustable, its words to be looked at. */
function LinePanels({
  composed,
  segment,
  things,
  wordChecks,
  adjusting,
  checksWords,
  onEdit,
  onClose,
}: LinePanelsProps) {
  const { line, text } = composed;
  return (
    <Suspense>
      {adjusting !== null && (
        <AdjustNumber {...{ segment, things, onEdit, onClose }} value={adjusting} text={line.text} />
      )}
      {checksWords && text.ok && (
        <WordCheck
          {...{ line, segment, onEdit, onClose }}
          text={text.value.map((piece) => piece.text).join('')}
          checks={wordChecks}
        />
      )}
    </Suspense>
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
      {line.text.trim() === '' ? <span className="text-soft">nothing written yet</span> : pieces(text, line.text)}
      {line.answer && answer && <span className="text-soft text-sm"> → {pieces(answer, line.answer)}</span>}
    </span>
  );
}

interface LineToolsProps {
  readonly position: number;
  readonly checksWords: boolean;
  /** Numbers of the line that are no dials yet. */
  readonly numbers: readonly number[];
  readonly onAdjust: (value: number) => void;
  /** What makes a button take the line up to move it. */
  readonly mover: ButtonHTMLAttributes<HTMLButtonElement>;
  readonly onWrite: () => void;
  readonly onCheck: () => void;
  readonly onTakeOut: () => void;
}

function LineTools({ position, checksWords, numbers, onAdjust, mover, onWrite, onCheck, onTakeOut }: LineToolsProps) {
  const line = `line ${position + 1}`;
  return (
    <span className="line-tools">
      <button type="button" onClick={onWrite} aria-label={`write ${line}`}>
        write
      </button>
      {numbers.map((number) => (
        <button
          key={number}
          type="button"
          onClick={() => onAdjust(number)}
          aria-label={`make ${number} of ${line} adjustable`}
        >
          make {number} adjustable
        </button>
      ))}
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
