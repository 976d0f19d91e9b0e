import type { ThingsByKey } from '../../../core/materials/index.ts';
import type { Edit, Session } from '../../../core/session/index.ts';
import { countThing } from '../../../messages/fits.ts';
import { sayScreen } from '../../../messages/screenWords.ts';
import type { Pasted } from './pasteEdits.ts';

interface PasteNoteProps {
  readonly pasted: Pasted & { readonly leftOut: number };
  readonly session: Session;
  readonly things: ThingsByKey;
  readonly onEdit: (edit: Edit) => void;
  readonly onUndo: () => void;
  readonly onDismiss: () => void;
}

/** What a paste brought and what of it we guessed; all of it goes at one press. */
export function PasteNote({ pasted, session, things, onEdit, onUndo, onDismiss }: PasteNoteProps) {
  const needs = pasted.needs.flatMap(({ segment, item, qty }) => {
    const need = session.segments.find(({ id }) => id === segment)?.needs.find((known) => known.item === item);
    return need ? [{ segment, need: need.id, words: countThing(item, qty, things) }] : [];
  });
  return (
    <div className="alert mx-6 my-3 border-teal max-w-none" role="status">
      <p>
        {sayScreen('paste.came', { lines: pasted.lines, parts: pasted.parts })}{' '}
        {pasted.guessed.length > 0 && sayScreen('paste.guessed', { count: pasted.guessed.length })}{' '}
        {pasted.leftOut > 0 && sayScreen('paste.left-out', { count: pasted.leftOut })}
      </p>
      {needs.length > 0 && (
        <p className="flex flex-wrap gap-x-3">
          To fetch, as far as we could tell:
          {needs.map(({ segment, need, words }) => (
            <span key={`${segment}/${need}`}>
              {words}{' '}
              <button
                type="button"
                className="link"
                aria-label={`leave out ${words}`}
                onClick={() => onEdit({ do: 'remove-need', segment, need })}
              >
                leave out
              </button>
            </span>
          ))}
        </p>
      )}
      <p className="flex gap-3">
        <button type="button" className="btn btn-outline btn-sm" onClick={onUndo}>
          Undo the paste
        </button>
        <button type="button" className="btn btn-outline btn-sm" onClick={onDismiss}>
          That’s right
        </button>
      </p>
    </div>
  );
}
