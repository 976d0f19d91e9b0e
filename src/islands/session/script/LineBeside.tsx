import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useContext, useEffect } from 'react';
import { type Line, LINE_KINDS, type LineKind } from '../../../core/session/index.ts';
import { HereContext } from '../useOthersHere.ts';
import type { Place } from './places.ts';

interface LineGutterProps {
  readonly place: Extract<Place, { is: 'line' }>;
  readonly part: string;
  /** Counted from 0. */
  readonly position: number;
  /** Its kind was told from its words, and nobody has looked at it yet. */
  readonly isGuessed: boolean;
  readonly onKind: (kind: LineKind) => void;
}

/** What stands in the gutter: the kind of the line, and what it is taken up by. */
export function LineGutter({ place, part, position, isGuessed, onKind }: LineGutterProps) {
  const othersHere = useContext(HereContext).of(part, place.id);
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id: place.id });
  useEffect(() => setNodeRef(place.line), [place.line, setNodeRef]);
  useEffect(() => {
    place.line.style.transform = CSS.Translate.toString(transform) ?? '';
    place.line.style.transition = transition ?? '';
    place.line.classList.toggle('is-dragging', isDragging);
  }, [place.line, transform, transition, isDragging]);
  return (
    <>
      {othersHere && (
        <span className="line-here absolute left-1 inset-y-0 w-11 overflow-hidden text-ellipsis border-l-3 border-mulberry pl-1 text-[0.65rem] text-mulberry font-heading">
          {othersHere}
        </span>
      )}
      <span className="sr-only">{place.kind}: </span>
      <button
        type="button"
        className="line-grip before:content-['≡']"
        {...attributes}
        {...listeners}
        tabIndex={-1}
        aria-hidden
        aria-label={`move line ${position + 1}`}
      />
      {isGuessed && place.kind !== 'do' && (
        <button
          type="button"
          className="min-h-6 min-w-6 font-bold text-marigold-ink bg-marigold-ground before:content-['?']"
          aria-label={`line ${position + 1} is something to do`}
          title="We guessed. Press if it is simply something to do."
          onClick={() => onKind('do')}
        />
      )}
      <select
        className="kind-word"
        aria-hidden
        aria-label="Kind of line"
        tabIndex={-1}
        value={place.kind}
        onChange={({ target }) => onKind(target.value as LineKind)}
      >
        {LINE_KINDS.map((word) => (
          <option key={word}>{word}</option>
        ))}
      </select>
    </>
  );
}

const ROLE_WORDS = { older: 'For the older child.', younger: 'For the little one.' } as const;

/** What stands behind a line: why it is there, and for whom. */
export function LineAfter({ line, onChoose }: { readonly line: Line; readonly onChoose?: ChooseWords | undefined }) {
  if (!line.why && !line.role && !line.other) return null;
  return (
    <>
      {line.other && <OtherWords other={line.other} onChoose={onChoose} />}
      <span className="text-soft text-xs">
        {[line.role && ROLE_WORDS[line.role], line.why].filter(Boolean).join(' ')}
      </span>
    </>
  );
}

/** Takes the words that somebody else wrote, or leaves them. */
type ChooseWords = (change: Partial<Omit<Line, 'id'>>) => void;

function OtherWords({ other, onChoose }: { other: NonNullable<Line['other']>; onChoose: ChooseWords | undefined }) {
  return (
    <span
      className="block border-l-3 border-mulberry pl-2 my-1 text-sm"
      role="group"
      aria-label="Written at the same time"
    >
      Written at the same time:{' '}
      {[other.text, other.answer]
        .filter(Boolean)
        .join(' → ')
        .replace(/\{[^}]*\}/g, '…')}{' '}
      {onChoose && (
        <>
          <button type="button" className="link min-h-6" onClick={() => onChoose({ ...other, other: undefined })}>
            take this instead
          </button>{' '}
          <button type="button" className="link min-h-6" onClick={() => onChoose({ other: undefined })}>
            leave it as it is
          </button>
        </>
      )}
    </span>
  );
}
