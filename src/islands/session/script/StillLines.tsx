import type { ComposedLine } from '../../../core/guide/index.ts';
import type { TextPiece } from '../../../core/expressions/index.ts';
import type { Edit, Segment } from '../../../core/session/index.ts';
import { DialChip } from '../DialChip.tsx';
import { LineAfter } from './LineBeside.tsx';
import type { ScriptLinesProps } from './scriptProps.ts';

interface StillLinesProps extends ScriptLinesProps {
  /** Somebody wants to write in them. */
  readonly onWant: () => void;
  /** Something in them has the focus, or has it no longer. */
  readonly onHold: (isHeld: boolean) => void;
}

/** The lines of a part as they are read, where nobody may write, or until they can be written in. */
export function StillLines({ part: { segment, lines }, mayWrite, onEdit, onWant, onHold }: StillLinesProps) {
  return (
    <div
      className="script-lines"
      onClick={mayWrite ? onWant : undefined}
      onFocus={() => onHold(true)}
      onBlur={({ currentTarget, relatedTarget }) => onHold(currentTarget.contains(relatedTarget))}
    >
      {lines.map(({ line, text, answer }) => (
        <div key={line.id} className={`line line-${line.kind}`}>
          <span className="line-gutter">
            <span className="kind-word">{line.kind}</span>
          </span>
          <div className="line-text">
            <Pieces {...{ segment, mayWrite, onEdit }} rendered={text} />
            {line.answer && answer && (
              <>
                <span className="text-soft"> → </span>
                <Pieces {...{ segment, mayWrite, onEdit }} rendered={answer} />
              </>
            )}
          </div>
          <span className="col-2 pl-4.5 pr-4 leading-tight empty:hidden">
            <LineAfter line={line} />
          </span>
        </div>
      ))}
    </div>
  );
}

interface PiecesProps {
  readonly rendered: ComposedLine['text'];
  readonly segment: Segment;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
}

function Pieces({ rendered, ...props }: PiecesProps) {
  if (!rendered.ok) return <span className="border-b-2 border-red">This line doesn’t work out yet.</span>;
  return rendered.value.map((piece, index) => <PieceView key={index} piece={piece} {...props} />);
}

function PieceView({ piece, segment, mayWrite, onEdit }: Omit<PiecesProps, 'rendered'> & { piece: TextPiece }) {
  const dial = piece.kind === 'dial' && segment.dials.find(({ name }) => name === piece.name);
  if (dial)
    return (
      <DialChip
        {...{ dial, mayWrite }}
        onTurn={(value) => onEdit({ do: 'turn-dial', segment: segment.id, dial: dial.name, value })}
      />
    );
  if (piece.kind === 'dial' || (piece.kind === 'computed' && /\d/.test(piece.text)))
    return <span className="computed">{piece.text}</span>;
  if (piece.kind === 'text') return <>{piece.text}</>;
  return <span className="underline decoration-dotted decoration-soft underline-offset-4">{piece.text}</span>;
}
