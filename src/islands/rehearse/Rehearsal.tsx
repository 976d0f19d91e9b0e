import { type ReactNode, useEffect, useRef } from 'react';
import type { RehearsedLine, RehearsedPart } from '../../core/guide/index.ts';
import { wholeMinutes } from '../../core/time/index.ts';
import { clockWords, noteKey, useRehearsing } from './useRehearsing.ts';

interface RehearsalProps {
  readonly id: string;
  readonly parts: readonly RehearsedPart[];
  readonly lines: readonly RehearsedLine[];
  readonly mayWrite: boolean;
  /** What was rehearsed just now has been kept. */
  readonly isKept: boolean;
}

/** A session said line by line: one large, the next in grey; the space bar goes on. At the end real minutes and notes are offered. */
export function Rehearsal({ id, parts, lines, mayWrite, isKept }: RehearsalProps) {
  const rehearsing = useRehearsing(id, lines, isKept);
  const { at, isOver, seconds, go } = rehearsing;
  useKeys(go, isOver);
  if (lines.length === 0) return <p>There are no lines to say yet.</p>;
  if (isOver) return <AfterIt {...{ parts, mayWrite }} rehearsing={rehearsing} />;
  const line = lines[at]!;
  const next = lines[at + 1];
  return (
    <div className="grid gap-6">
      <p className="flex flex-wrap gap-x-6 text-soft" aria-live="off">
        <span>
          Line {at + 1} of {lines.length}
        </span>
        <span>{clockWords(seconds)} so far</span>
        <span>planned: {clockWords(line.begins * 60)}</span>
      </p>
      <div aria-live="polite" className="min-h-64">
        <h2 className="mb-2 text-soft">{line.title}</h2>
        <Said kind={line.kind}>
          <span className="text-3xl leading-snug">{line.text}</span>
          {line.answer && <span className="block mt-2 text-xl text-soft">→ {line.answer}</span>}
        </Said>
        {next && (
          <p className="mt-8 text-lg text-soft">
            {next.part !== line.part && <strong className="block">{next.title}</strong>}
            {next.text}
          </p>
        )}
      </div>
      <div className="flex flex-wrap gap-3">
        <button type="button" className="btn btn-primary btn-lg" onClick={() => go(1)}>
          {next ? 'Go on' : 'That was it'}
        </button>
        <button type="button" className="btn btn-lg" disabled={at === 0} onClick={() => go(-1)}>
          Back
        </button>
        <button type="button" className="btn btn-lg" onClick={rehearsing.pause}>
          {rehearsing.isPaused ? 'Carry on' : 'Pause the clock'}
        </button>
      </div>
      {mayWrite && (
        <NoteOnLine key={noteKey(line)} note={rehearsing.notes[noteKey(line)] ?? ''} onNote={rehearsing.note} />
      )}
      <p className="text-sm text-soft">The space bar goes on, the left arrow goes back.</p>
    </div>
  );
}

function Said({ kind, children }: { kind: string; children: ReactNode }) {
  return (
    <p className="grid grid-cols-[4rem_1fr] items-baseline">
      <span className="font-heading font-semibold text-teal">{kind}</span>
      <span>{children}</span>
    </p>
  );
}

function NoteOnLine({ note, onNote }: { note: string; onNote: (text: string) => void }) {
  return (
    <label className="grid gap-1 max-w-xl">
      A note on this line, for later
      <textarea
        className="textarea"
        rows={2}
        maxLength={500}
        defaultValue={note}
        onChange={({ target }) => onNote(target.value)}
      />
    </label>
  );
}

interface AfterItProps {
  readonly parts: readonly RehearsedPart[];
  readonly mayWrite: boolean;
  readonly rehearsing: ReturnType<typeof useRehearsing>;
}

/** What the rehearsal took, part by part, to be kept where it is better than what was planned; and its notes. */
function AfterIt({ parts, mayWrite, rehearsing }: AfterItProps) {
  const { spent, notes, lines, again, name } = rehearsing;
  const noted = lines.filter((line) => notes[noteKey(line)]?.trim());
  const timed = parts.filter(({ id, mayBeTimed }) => mayBeTimed && (spent[id] ?? 0) >= 30);
  return (
    <form method="post" className="grid gap-4 max-w-2xl">
      <input type="hidden" name="name" value={name} />
      <h2>How long it took</h2>
      {timed.length === 0 && <p>No part took half a minute, so there’s nothing to keep.</p>}
      <ul className="grid gap-2">
        {timed.map(({ id, title, planned }) => (
          <li key={id}>
            <label className="flex gap-3 items-center min-h-11">
              {mayWrite && <input type="checkbox" className="checkbox" name="part" value={id} />}
              <span>
                {title}: {clockWords(spent[id]!)}, planned about {wholeMinutes(planned)} minutes
              </span>
            </label>
            <input type="hidden" name={`seconds-${id}`} value={Math.round(spent[id]!)} />
          </li>
        ))}
      </ul>
      {noted.length > 0 && <h2>Your notes</h2>}
      <ul className="grid gap-2">
        {noted.map(({ line, part, text }, index) => (
          <li key={noteKey({ part, line })}>
            <p className="text-sm text-soft">{text}</p>
            <p>{notes[noteKey({ part, line })]}</p>
            <input type="hidden" name={`note-${index}-part`} value={part} />
            <input type="hidden" name={`note-${index}-line`} value={line} />
            <input type="hidden" name={`note-${index}-text`} value={notes[noteKey({ part, line })]} />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3">
        {mayWrite && (timed.length > 0 || noted.length > 0) && (
          <button className="btn btn-primary">Keep what’s ticked and the notes</button>
        )}
        <button type="button" className="btn" onClick={again}>
          Once more
        </button>
      </div>
    </form>
  );
}

/** Space goes on and the arrows go both ways, unless somebody is writing or presses a button. */
function useKeys(go: (step: number) => void, isOver: boolean): void {
  const newest = useRef(go);
  useEffect(() => {
    newest.current = go;
  });
  useEffect(() => {
    if (isOver) return undefined;
    const onKey = (event: KeyboardEvent) => {
      const isWriting = /^(?:INPUT|TEXTAREA|SELECT|BUTTON|A)$/.test((event.target as HTMLElement).tagName);
      const step = { ' ': 1, ArrowRight: 1, ArrowLeft: -1 }[event.key];
      if (isWriting || step === undefined) return;
      event.preventDefault();
      newest.current(step);
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [isOver]);
}
