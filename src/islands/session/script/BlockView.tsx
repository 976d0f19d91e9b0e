import { parseContent, renderContent, type TemplateScope } from '../../../core/expressions/index.ts';
import type { Edit, Segment } from '../../../core/session/index.ts';
import { DialChip } from '../DialChip.tsx';

interface BlockViewProps {
  readonly source: string;
  readonly scope: TemplateScope;
  readonly segment: Segment;
  readonly onEdit: (edit: Edit) => void;
}

/** What a block of the text shows: a number that turns, or the words that follow from it. */
export function BlockView({ source, scope, segment, onEdit }: BlockViewProps) {
  const content = parseContent(source);
  const rendered = renderContent(content, scope);
  if (!rendered.ok)
    return (
      <span className="border-b-2 border-red" aria-label="this doesn’t work out">
        ?
      </span>
    );
  const [piece] = rendered.value;
  const dial = piece?.kind === 'dial' && segment.dials.find(({ name }) => name === piece.name);
  if (dial)
    return (
      <DialChip
        dial={dial}
        mayWrite
        isInText
        onTurn={(value) => onEdit({ do: 'turn-dial', segment: segment.id, dial: dial.name, value })}
      />
    );
  const isNumber = piece?.kind === 'computed' && /\d/.test(piece.text);
  return (
    <span className={isNumber ? 'computed' : 'underline decoration-dotted decoration-soft underline-offset-4'}>
      {piece?.text || ' '}
    </span>
  );
}
