import { TablePreview } from './TablePreview.tsx';
import { type CountableThing, useFamilyTable } from './useFamilyTable.ts';

interface FamilyTableProps {
  /** YYYY-MM-DD, for ages. */
  readonly today: string;
  readonly things: readonly CountableThing[];
}

/** Brings families in from a table that somebody pastes, chooses or types: what was understood is shown first. */
export function FamilyTable({ today, things }: FamilyTableProps) {
  const { text, setText, draft, setDraft, reading, word, report, look, choose, bringIn, isSending } = useFamilyTable(
    today,
    things,
  );
  const isDone = report !== '' && draft?.rows.length === 0;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5">
      <div role="status" aria-live="polite">
        {report && (
          <p className="alert alert-success">
            <span>
              {report} <a href="/homes">See your homes</a>
            </span>
          </p>
        )}
      </div>
      {word && (
        <p className="alert alert-warning" role="alert">
          {word}
        </p>
      )}
      {!isDone && (
        <Paste
          isLooked={draft !== null}
          text={text}
          onText={setText}
          onLook={look}
          onChoose={(file) => void choose(file)}
        />
      )}
      {draft && reading && draft.rows.length > 0 && (
        <TablePreview
          draft={draft}
          reading={reading}
          onChange={setDraft}
          onBringIn={() => void bringIn()}
          isSending={isSending}
        />
      )}
    </div>
  );
}

interface PasteProps {
  readonly isLooked: boolean;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onLook: (text: string) => void;
  readonly onChoose: (file: File | undefined) => void;
}

function Paste({ isLooked, text, onText, onLook, onChoose }: PasteProps) {
  return (
    <section className="grid min-w-0 gap-3" aria-label="Your table">
      <label className="field">
        <span>Paste your table here, or write it: a family to a line</span>
        <textarea
          autoFocus
          className="textarea w-full font-mono text-sm"
          rows={isLooked ? 3 : 7}
          value={text}
          spellCheck={false}
          placeholder={'Ava & Tom\tMarch 2024 & 06/2021\tegg, kiwi\tSpanish\nBo\t4 years'}
          onChange={({ target }) => onText(target.value)}
          onPaste={(event) => {
            // Into an empty box a paste is the whole table: it is looked at straight away.
            if (text.trim() !== '') return;
            event.preventDefault();
            const given = event.clipboardData.getData('text/plain');
            onText(given);
            onLook(given);
          }}
        />
      </label>
      <div className="flex flex-wrap items-center gap-4">
        <button type="button" className="btn btn-outline" onClick={() => onLook(text)}>
          Look at it
        </button>
        <label className="flex flex-wrap items-center gap-2">
          or choose a file
          <input
            className="file-input file-input-sm"
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            onChange={({ target }) => onChoose(target.files?.[0])}
          />
        </label>
      </div>
    </section>
  );
}
