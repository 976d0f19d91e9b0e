import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import type { Thing, ThingsByKey } from '../../core/materials/index.ts';
import { AddPart } from './AddPart.tsx';
import { NewThingContext } from './newThings.ts';
import { WriterContext } from './NoteForm.tsx';
import { OthersHere } from './OthersHere.tsx';
import type { BenchProps } from '../../contracts/bench.ts';
import { HomesFoot } from './HomesFoot.tsx';
import { Refusal } from '../ui/Refusal.tsx';
import { SaveBanner } from '../autosave/SaveBanner.tsx';
import { KeysHelp } from '../keys/KeysHelp.tsx';
import { MinuteTape } from './MinuteTape.tsx';
import { SegmentSheet } from './SegmentSheet.tsx';
import { SessionHead } from './SessionHead.tsx';
import { PasteContext } from './pasting/pasteContext.ts';
import { PasteNote } from './pasting/PasteNote.tsx';
import { usePasting } from './pasting/usePasting.ts';
import { CarryContext } from './script/carrying.ts';
import { WritersContext } from './script/writers.ts';
import { useBench } from './useBench.ts';
import { HereContext, useHerePlaces, useOthersHere } from './useOthersHere.ts';
import { useEditKeys } from '../autosave/useEditKeys.ts';
import { useAutosave } from '../autosave/useAutosave.ts';

type BenchState = ReturnType<typeof useBench>;

const KEYS = [
  ['On a dial', 'arrow keys turn it; Home and End go to its ends; digits type it'],
  ['On “move”', 'space takes it up, arrow keys carry it, space puts it down, Escape lets go'],
  [
    'In the text',
    'Enter begins a line, Backspace at its start joins it to the one before; Alt with up or down moves it; Tab goes to the tools of the line, Escape comes back',
  ],
  [
    'As words',
    '“ask: ” at the start of a line makes it a question, and so with every kind; “answer: ” begins what you expect to hear',
  ],
  ['On a number in the text', 'Enter opens it, arrow keys turn it, Enter or Escape goes on writing'],
  ['Anywhere', 'Ctrl Enter goes to “Send”; Ctrl Z undoes, Ctrl Shift Z does it again, ? shows this'],
] as const;

/** To the link that leads to sending, so that what is being written is kept on the way. */
function goToSending(): void {
  document.querySelector<HTMLElement>('.homes-foot .btn-primary')?.focus();
}

function sendingState({ session, judgement, isJudged }: BenchState, isKept: boolean) {
  if (session.segments.length === 0) return 'empty';
  if (judgement.findings.some(({ weight }) => weight === 'stop')) return 'stopped';
  return isKept && isJudged ? 'ready' : 'saving';
}

/** The parts of the session, each with what was found about it. */
function Parts({ bench, ...props }: BenchProps & { bench: BenchState }) {
  const { session, composed, judgement } = bench;
  const { things, mayWrite } = props;
  const { soundSteps: steps, accent } = props;
  const wordChecks = useMemo(() => ({ on: session.on, steps, accent }), [session.on, steps, accent]);
  return (
    <WritersContext.Provider value={bench.writers}>
      {composed.segments.map((part, index) => (
        <SegmentSheet
          key={part.segment.id}
          {...{ part, things, mayWrite, wordChecks }}
          hasMakers={bench.hasMakers}
          soundsSaid={bench.soundsSaid}
          recorded={props.recorded}
          position={index}
          count={composed.segments.length}
          findings={judgement.findings.filter(({ segment }) => segment === part.segment.id)}
          ages={session.ages}
          remarks={session.remarks}
          onEdit={bench.edit}
          onWritten={bench.write}
        />
      ))}
    </WritersContext.Provider>
  );
}

/** The bench: one session as a sheet, everything computed beside what it is about. */
export function Bench(given: BenchProps) {
  const [added, setAdded] = useState<ThingsByKey>({});
  const things = useMemo(() => ({ ...given.things, ...added }), [given.things, added]);
  const addThing = useCallback((thing: Thing) => setAdded((before) => ({ ...before, [thing.key]: thing })), []);
  return (
    <NewThingContext.Provider value={addThing}>
      <WriterContext.Provider value={given.personName}>
        <Sheet {...given} things={things} />
      </WriterContext.Provider>
    </NewThingContext.Provider>
  );
}

/** The parts as they are written, what was pasted into them, and what adds to them. */
function Script({ bench, ...props }: BenchProps & { bench: BenchState }) {
  const { session, edit, undo } = bench;
  const { things, mayWrite } = props;
  const { pasting, pasted, dismiss } = usePasting({ session, things, onEdit: edit, flush: bench.writers.flush });
  const undoPaste = () => {
    undo();
    dismiss();
  };
  return (
    <PasteContext.Provider value={pasting}>
      {pasted && <PasteNote {...{ pasted, session, things }} onEdit={edit} onUndo={undoPaste} onDismiss={dismiss} />}
      <div className="relative before:absolute before:left-[6.5rem] before:inset-y-0 before:border-l before:border-line max-[860px]:before:left-[4.2rem]">
        <CarryContext.Provider value={session.segments}>
          <Parts {...props} bench={bench} />
        </CarryContext.Provider>
        {session.segments.length === 0 && (
          <p className="text-soft px-6 py-8">The sheet is empty. Put a book, a song or an activity on it.</p>
        )}
        {mayWrite && <AddPart session={session} onEdit={edit} />}
      </div>
    </PasteContext.Provider>
  );
}

/** The sheet with all that is beside it. */
function Sheet(props: BenchProps) {
  const { id, things, mayWrite } = props;
  const bench = useBench(props);
  const { session, composed, judgement, isJudged } = bench;
  const { keeping, isKept, overwriteRemote, loadRemote } = useAutosave({
    writers: bench.writers,
    sharing: bench.sharing,
    address: `/api/sessions/${id}`,
    name: 'session',
    value: session,
    revision: props.revision,
    keptAt: props.keptAt,
  });
  const others = useOthersHere(id, { news: bench.news, me: props.person });
  const herePlaces = useHerePlaces(others);
  // The part that is turned is drawn first, the tape above it in the frame after.
  const drawn = useDeferredValue(composed);
  const { edit } = bench;
  const onMove = useCallback((segment: string, to: number) => edit({ do: 'move-segment', segment, to }), [edit]);
  const [showsKeys, setShowsKeys] = useState(false);
  useEditKeys({ onUndo: bench.undo, onRedo: bench.redo, onHelp: () => setShowsKeys(true), onSend: goToSending });
  return (
    <div className="pb-22">
      <div className="bg-paper border-b border-b-line pt-[0.8rem] pb-[0.4rem] px-6">
        <SessionHead
          {...{ id, session, keeping, isKept, mayWrite }}
          total={composed.tape.total}
          sentAt={props.sentAt}
          canUndo={bench.past.length > 0}
          canRedo={bench.future.length > 0}
          onEdit={bench.edit}
          onUndo={bench.undo}
          onRedo={bench.redo}
          onHelp={() => setShowsKeys(true)}
        />
        <OthersHere {...{ others, session }} changedLine={bench.changedLine} />
        <MinuteTape tape={drawn.tape} parts={drawn.segments} mayWrite={mayWrite} onMove={onMove} />
      </div>
      <SaveBanner {...{ keeping, loadRemote, overwriteRemote }} value={session} onTake={bench.take} />
      <Refusal refusal={bench.refusal} onDismiss={bench.dismiss} />
      <HereContext.Provider value={herePlaces}>
        <Script {...props} bench={bench} />
      </HereContext.Provider>
      <HomesFoot
        {...{ id, session, composed, judgement, isJudged, things, mayWrite }}
        sending={sendingState(bench, isKept)}
        withoutBook={props.withoutBook}
      />
      <KeysHelp keys={KEYS} isOpen={showsKeys} onClose={() => setShowsKeys(false)} />
    </div>
  );
}
