import { useId, useState } from 'react';
import { COLUMN_ROLES, type CellNote, type ColumnRole, type FamilyReading } from '../../core/families/index.ts';
import { describeCellNote } from '../../messages/families.ts';
import { sayScreen } from '../../messages/screenWords.ts';
import type { TableDraft } from './useFamilyTable.ts';

interface TablePreviewProps {
  readonly draft: TableDraft;
  readonly reading: FamilyReading;
  readonly onChange: (draft: TableDraft) => void;
  readonly onBringIn: () => void;
  /** Homes are under way: they are sent once, however often somebody presses. */
  readonly isSending: boolean;
}

/** A longer table shows so many rows, those that are marked first. */
const MOST_ROWS_SHOWN = 100;
/** A cell that is only looked at shows so many characters. */
const MOST_SHOWN = 80;

/** What was understood of a table: what each column is, what is taken for a guess, and what has to be put right. */
export function TablePreview({ draft, reading, onChange, onBringIn, isSending }: TablePreviewProps) {
  const { rows, roles } = draft;
  const ready = reading.families.filter(({ isReady }) => isReady).length;
  const left = reading.families.length - ready;
  const marked = new Set(reading.notes.filter(({ kind }) => kind === 'wrong').map(({ row }) => row));
  const order = rows.map((_, row) => row).sort((one, other) => Number(marked.has(other)) - Number(marked.has(one)));
  const shown = rows.length > MOST_ROWS_SHOWN ? order.slice(0, MOST_ROWS_SHOWN) : rows.map((_, row) => row);
  const nameOf = (row: number) => reading.families.find((entry) => entry.rows.includes(row))?.family.nickname ?? '';
  const setCell = (row: number, at: number, text: string) =>
    onChange({
      ...draft,
      rows: rows.map((cells, index) =>
        index === row ? roles.map((_, column) => (column === at ? text : (cells[column] ?? ''))) : cells,
      ),
    });
  return (
    <section className="min-w-0" aria-label="What we understood">
      <h2 className="mb-2">Is this right?</h2>
      <div className="overflow-x-auto">
        <table className="table">
          <Columns draft={draft} onChange={onChange} />
          <tbody>
            {shown.map((row) => (
              <tr key={row} className={marked.has(row) ? 'bg-warning/10' : ''}>
                {roles.map((role, at) => (
                  <td key={at} className={`align-top ${role === 'leave' ? 'text-soft line-through' : ''}`}>
                    <Cell
                      text={rows[row]![at] ?? ''}
                      name={`${sayScreen(`column.${role}`)}, row ${row + 1}`}
                      notes={reading.notes.filter((note) => note.row === row && note.column === at)}
                      onText={(text) => setCell(row, at, text)}
                    />
                  </td>
                ))}
                <td className="align-top">{nameOf(row)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {rows.length > shown.length && (
        <p className="text-soft">{sayScreen('table.more-rows', { count: rows.length - shown.length })}</p>
      )}
      <div className="sticky bottom-0 mt-4 flex flex-wrap items-center gap-4 border-t border-line bg-sheet py-3">
        <button type="button" className="btn btn-primary" disabled={ready === 0 || isSending} onClick={onBringIn}>
          {sayScreen('table.bring-in', { count: ready })}
        </button>
        {left > 0 && <span className="text-mulberry">{sayScreen('table.left', { count: left })}</span>}
      </div>
    </section>
  );
}

/** What each column is taken for, to be changed. */
function Columns({ draft, onChange }: Pick<TablePreviewProps, 'draft' | 'onChange'>) {
  const { headings, roles } = draft;
  const setRole = (at: number, role: ColumnRole) => {
    const others = roles.map((other) => (other === role && role !== 'leave' ? 'leave' : other));
    onChange({ ...draft, roles: others.map((other, index) => (index === at ? role : other)) });
  };
  return (
    <thead>
      <tr>
        {roles.map((role, at) => (
          <th key={at} scope="col">
            <select
              className="select select-sm min-w-40 pr-6 pl-2 text-sm font-normal"
              aria-label={`Column ${at + 1}${headings?.[at] ? `, “${headings[at]}”` : ''}, is`}
              value={role}
              onChange={({ target }) => setRole(at, target.value as ColumnRole)}
            >
              {COLUMN_ROLES.map((choice) => (
                <option key={choice} value={choice}>
                  {sayScreen(`column.${choice}`)}
                </option>
              ))}
            </select>
            {headings?.[at] && <div className="mt-1 font-normal text-soft">{headings[at]}</div>}
          </th>
        ))}
        <th scope="col">The home is called</th>
      </tr>
    </thead>
  );
}

/** From a cell that was put right on to the next that is marked, and from the last to the button that brings them in. */
function goToNext(from: HTMLElement): void {
  const around = from.closest('section');
  const marked = [...(around?.querySelectorAll<HTMLElement>('[aria-invalid="true"]') ?? [])].filter(
    (cell) => cell !== from,
  );
  const next =
    marked.find((cell) => from.compareDocumentPosition(cell) & Node.DOCUMENT_POSITION_FOLLOWING) ?? marked[0];
  (next ?? around?.querySelector<HTMLElement>('.btn-primary'))?.focus();
}

interface CellProps {
  readonly text: string;
  readonly name: string;
  readonly notes: readonly CellNote[];
  readonly onText: (text: string) => void;
}

/** A cell to be written in where something is wrong with it, otherwise to be pressed for that. */
function Cell({ text, name, notes, onText }: CellProps) {
  const id = useId();
  const isWrong = notes.some(({ kind }) => kind === 'wrong');
  const [isOpen, setIsOpen] = useState(isWrong);
  // A field does not go away under the hand that puts it right.
  if (isWrong && !isOpen) setIsOpen(true);
  return (
    <>
      {isOpen ? (
        <input
          className={`input input-sm min-w-28 ${isWrong ? 'input-error' : ''}`}
          aria-label={name}
          aria-invalid={isWrong}
          aria-describedby={notes.length > 0 ? id : undefined}
          value={text}
          maxLength={20_000}
          onChange={({ target }) => onText(target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            // The same press is not one on what gets the focus now.
            event.preventDefault();
            goToNext(event.currentTarget);
          }}
        />
      ) : (
        <button
          type="button"
          className="min-h-6 min-w-6 cursor-text text-left text-base"
          aria-label={`Change ${name}: ${text || 'empty'}`}
          onClick={() => setIsOpen(true)}
        >
          {text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN)} …` : text}
        </button>
      )}
      {notes.length > 0 && (
        <div id={id} className={`max-w-56 text-sm no-underline ${isWrong ? 'text-error' : 'text-soft'}`}>
          {[...new Set(notes.map(describeCellNote))].map((said) => (
            <p key={said}>{said}</p>
          ))}
        </div>
      )}
    </>
  );
}
