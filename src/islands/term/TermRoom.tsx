import { countAims, heldSessions, SOUND_SCHOOLS, type Term, touchedSessions } from '../../core/terms/index.ts';
import { DndContext, closestCenter, pointerWithin, type CollisionDetection, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, rectSwappingStrategy } from '@dnd-kit/sortable';
import { useMemo, useState, type ReactNode } from 'react';
import { SCHOOL_WORDS, describePlaced } from '../../messages/term.ts';
import { SaveBanner } from '../autosave/SaveBanner.tsx';
import { SaveStatus } from '../autosave/SaveStatus.tsx';
import { useEditKeys } from '../autosave/useEditKeys.ts';
import type { Keeping } from '../autosave/serverCopy.ts';
import { useAutosave } from '../autosave/useAutosave.ts';
import { Refusal } from '../ui/Refusal.tsx';
import { movingWords } from '../moving/movingWords.ts';
import { useMoveSensors } from '../moving/useMoveSensors.ts';
import { DaysPanel } from './DaysPanel.tsx';
import { ProposalBar } from './ProposalBar.tsx';
import { RulesPanel } from './RulesPanel.tsx';
import { SequencePanel } from './SequencePanel.tsx';
import { TermKeys } from './TermKeys.tsx';
import type { TermProps } from './termTypes.ts';
import { useTermProposal } from './useTermProposal.ts';
import { useTerm } from './useTerm.ts';
import { WeekRowView, sessionName } from './WeekRowView.tsx';

/** Where the pointer is; by keys, what is nearest. */
const underPointer: CollisionDetection = (moving) => {
  const hits = pointerWithin(moving);
  return hits.length > 0 ? hits : closestCenter(moving);
};

/** The term: weeks as rows, what stands in them, the sequence beside the themes, and what they touch. */
export function TermRoom(props: TermProps) {
  const { id, shelf, today, mayWrite } = props;
  const room = useTerm(props);
  const { term, rows, stepsLeft, edit } = room;
  const { keeping, isKept, overwriteRemote, loadRemote } = useAutosave({
    address: `/api/terms/${id}`,
    name: 'term',
    value: term,
    revision: props.revision,
    keptAt: props.keptAt,
  });
  const [showsKeys, setShowsKeys] = useState(false);
  useEditKeys({ onUndo: room.undo, onRedo: room.redo, onHelp: () => setShowsKeys(true) });
  const held = useMemo(() => heldSessions(rows), [rows]);
  const names = Object.fromEntries(
    rows.flatMap((row) =>
      row.sessions.map(({ session, on }) => [session.id, sessionName(session, { shelf, row, on })]),
    ),
  );
  const { proposal, propose, stop, forget } = useTermProposal(room, { shelf, today, names });
  const touched = useMemo(() => touchedSessions(rows, shelf.activities), [rows, shelf]);
  const { wanted, unplaced } = countAims(term.rules.targets, touched);

  return (
    <div className="term">
      <TermHead {...{ room, keeping, isKept, placed: describePlaced(wanted, unplaced), heldCount: held.length }}>
        <button type="button" className="link link-primary" onClick={() => setShowsKeys(true)}>
          keys
        </button>
        {mayWrite && proposal.phase !== 'working' && (
          <button type="button" className="btn btn-primary" onClick={propose}>
            Propose the open weeks
          </button>
        )}
      </TermHead>
      <ProposalBar proposal={proposal} onStop={stop} onForget={forget} />
      <SaveBanner {...{ keeping, loadRemote, overwriteRemote }} value={term} onTake={room.take} />
      <Refusal refusal={room.refusal} onDismiss={room.dismiss} />
      <div className="flex flex-wrap gap-y-[0.2rem] gap-x-8 py-2 px-6 border-b border-b-line">
        <DaysPanel {...{ term, mayWrite }} onEdit={edit} />
        <SequencePanel {...{ term, stepsLeft, mayWrite }} soundOrder={props.soundOrder} onEdit={edit} />
        <RulesPanel {...{ term, mayWrite }} onEdit={edit} />
        <TermLinks {...{ id, mayWrite }} hasSounds={SOUND_SCHOOLS.includes(term.school)} />
      </div>
      <WeekList {...{ room, touched, names, isKept }} term={props} />
      <TermKeys isOpen={showsKeys} onClose={() => setShowsKeys(false)} />
    </div>
  );
}

type TermRoomState = ReturnType<typeof useTerm>;

interface TermHeadProps {
  readonly room: TermRoomState;
  readonly keeping: Keeping<Term>;
  readonly isKept: boolean;
  /** How many of the skills aimed at stand in a week, in words. */
  readonly placed: string;
  readonly heldCount: number;
  readonly children: ReactNode;
}

/** The title of the term, how full it is, whether it is saved, and what can be done with all of it. */
function TermHead({ room, keeping, isKept, placed, heldCount, children }: TermHeadProps) {
  const { term } = room;
  return (
    <header className="room-head">
      <h1>{term.title}</h1>
      <p className="text-soft">
        {term.weeks.length} weeks, {heldCount} sessions · {SCHOOL_WORDS[term.school].name} · {placed}
      </p>
      <span className="ml-auto flex flex-wrap items-baseline gap-y-[0.2rem] gap-x-4 font-heading text-sm">
        <SaveStatus {...{ keeping, isKept }} />
        <button type="button" className="link link-primary" disabled={room.past.length === 0} onClick={room.undo}>
          undo
        </button>
        <button type="button" className="link link-primary" disabled={room.future.length === 0} onClick={room.redo}>
          redo
        </button>
        {children}
      </span>
    </header>
  );
}

function TermLinks({ id, mayWrite, hasSounds }: { id: string; mayWrite: boolean; hasSounds: boolean }) {
  return (
    <span className="ml-auto flex gap-4 font-heading text-sm">
      <a href={`/term/${id}/coverage`}>Skills by week</a>
      {hasSounds && <a href={`/term/${id}/sounds`}>Sounds by week</a>}
      <a href={`/term/${id}/due`}>What is due</a>
      <a href="/term?all">All terms</a>
      {mayWrite && <a href="/term/new">Start another term</a>}
    </span>
  );
}

interface WeekListProps {
  readonly room: TermRoomState;
  readonly term: TermProps;
  readonly touched: ReturnType<typeof touchedSessions>;
  /** What each session is called, by its id. */
  readonly names: Readonly<Record<string, string>>;
  readonly isKept: boolean;
}

/** The weeks, whose sessions change places by hand or by keys. */
function WeekList({ room, term: { id, shelf, today, mayWrite }, touched, names, isKept }: WeekListProps) {
  const { rows, reasons, edit } = room;
  const sensors = useMoveSensors();
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) edit({ do: 'move-session', from: String(active.id), to: String(over.id) });
  };
  return (
    <DndContext
      id="term"
      accessibility={movingWords(names)}
      sensors={sensors}
      collisionDetection={underPointer}
      onDragEnd={onDragEnd}
    >
      <SortableContext items={Object.keys(names)} strategy={rectSwappingStrategy} disabled={!mayWrite}>
        <ol className="block">
          {rows.map((row, index) => (
            <WeekRowView
              key={row.week.monday}
              {...{ row, index, shelf, reasons, today, mayWrite, isKept, names }}
              termId={id}
              skills={touched.filter((session) => session.row === row).flatMap(({ skills }) => skills)}
              order={Object.keys(names)}
              onEdit={edit}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
