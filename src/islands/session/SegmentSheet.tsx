import { type Edit, type LevelName, LEVELS, type MakerSource, type Session } from '../../core/session/index.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import { memo, useMemo, useRef, useState, type CSSProperties, type ReactNode } from 'react';
import type { Finding } from '../../core/checks/index.ts';
import type { ComposedSegment } from '../../core/guide/index.ts';
import { spreadOf, wholeMinutes } from '../../core/time/index.ts';
import { DialChip } from './DialChip.tsx';
import { FindingNote } from './FindingNote.tsx';
import { ScriptLines } from './script/ScriptLines.tsx';
import { Remarks } from './Remarks.tsx';
import { FromShelf } from './FromShelf.tsx';
import { NeedsEditor } from './NeedsEditor.tsx';
import { MinutesEditor } from './MinutesEditor.tsx';
import { NoteForm } from './NoteForm.tsx';
import { ToShelf } from './ToShelf.tsx';
import { partAgain } from '../../core/shelf/index.ts';
import { newId } from '../autosave/newId.ts';
import type { SaidSound } from '../../core/makers/index.ts';
import { HeardSounds } from '../sounds/HeardSounds.tsx';
import type { WordChecks } from './WordCheck.tsx';
import { groupByRow } from './marginGroups.ts';

interface SegmentSheetProps {
  readonly part: ComposedSegment;
  readonly position: number;
  readonly count: number;
  /** Whom the session is for. */
  readonly ages: Session['ages'];
  readonly findings: readonly Finding[];
  readonly things: ThingsByKey;
  readonly mayWrite: boolean;
  /** What authors noted for each other, of all parts. */
  readonly remarks: Session['remarks'];
  /** False while the makers, which write parts anew when their dials turn, are being fetched. */
  readonly hasMakers: boolean;
  readonly wordChecks: WordChecks;
  /** Tells the sounds that are said in a maker's part, once the makers are there; and which the programme has recorded. */
  readonly soundsSaid: ((made: MakerSource) => readonly SaidSound[]) | undefined;
  readonly recorded: readonly string[];
  readonly onEdit: (edit: Edit) => void;
  /** Takes up what was written in this part. */
  readonly onWritten: (edit: Edit) => void;
}

/** Lines that may stand in the text before the sheet knows of them. */
const SPARE_ROWS = 2;

const LEVEL_WORDS: Readonly<Record<LevelName, string>> = { easier: 'easier', right: 'just right', harder: 'harder' };

/** A part of the session on the sheet: heading, lines in the gutter's order, findings in the margin beside them. Drawn anew when something about it changed. */
export const SegmentSheet = memo(SheetOfPart, isSameSheet);

function isSameSheet(before: SegmentSheetProps, after: SegmentSheetProps): boolean {
  const { findings: former, ...others } = before;
  const { findings, ...rest } = after;
  const isSame = (Object.keys(rest) as (keyof typeof rest)[]).every((name) => others[name] === rest[name]);
  return isSame && former.length === findings.length && former.every((finding, at) => finding === findings[at]);
}

function SheetOfPart(props: SegmentSheetProps) {
  const {
    part,
    position,
    count,
    ages,
    findings,
    things,
    mayWrite,
    hasMakers,
    wordChecks,
    soundsSaid,
    recorded,
    onEdit,
  } = props;
  const { onWritten, remarks } = props;
  const { segment, lines } = part;
  // A part of one's own begins with a line to write.
  const [first] = lines;
  const startsEmpty = mayWrite && lines.length === 1 && first!.line.text === '';
  const [startsInWriting] = useState(startsEmpty);
  return (
    <section
      className="segment"
      style={
        {
          gridTemplateRows: `repeat(${lines.length + SPARE_ROWS + 1}, auto) 1fr`,
          '--lines': lines.length + SPARE_ROWS,
        } as CSSProperties
      }
      id={`part-${segment.id}`}
      aria-labelledby={`title-${segment.id}`}
    >
      <SegmentHead {...{ part, position, count, ages, things, mayWrite, hasMakers, soundsSaid, recorded, onEdit }}>
        <Remarks
          {...{ segment, mayWrite, onEdit }}
          remarks={remarks?.filter((remark) => remark.part === segment.id) ?? []}
        />
      </SegmentHead>
      <ScriptLines {...{ part, things, mayWrite, onEdit, onWritten, wordChecks, startsInWriting }} />
      {groupByRow(findings, part).map(({ row, span, group }) => (
        <div key={row} className="margin" style={{ '--row': `${row} / span ${span}` } as CSSProperties}>
          {group.map((finding) => (
            <FindingNote key={finding.id} {...{ finding, mayWrite, onEdit }} segment={part.segment} />
          ))}
        </div>
      ))}
    </section>
  );
}

type Edits = Pick<SegmentSheetProps, 'onEdit'>;
type OfSegment = Edits & { readonly segment: ComposedSegment['segment'] };

/** The heading of a part: its title, levels, dials and facts, and what can be done with it. */
function SegmentHead({
  children,
  ...props
}: Omit<SegmentSheetProps, 'findings' | 'wordChecks' | 'onWritten' | 'remarks'> & { children: ReactNode }) {
  const { part, position, count, ages, things, mayWrite, hasMakers, soundsSaid, recorded, onEdit } = props;
  const [isNoting, setIsNoting] = useState(false);
  const [shelved, setShelved] = useState('');
  const title = useRef<HTMLHeadingElement>(null);
  const { segment } = part;
  const { made } = segment;
  const sounds = useMemo(() => (made && soundsSaid?.(made)) ?? [], [made, soundsSaid]);
  const isOwn = segment.kind === 'activity' && !segment.from && !segment.made;
  return (
    <header className="segment-head">
      <h2 ref={title} id={`title-${segment.id}`} tabIndex={-1}>
        {isOwn && mayWrite ? <OwnTitle segment={segment} onEdit={onEdit} /> : segment.title}
      </h2>
      {segment.kind === 'activity' && mayWrite && (
        <LevelChoice
          segment={segment}
          onChoose={(level) => onEdit({ do: 'choose-level', segment: segment.id, level })}
        />
      )}
      {segment.made && <MadeDials {...{ segment, onEdit }} mayWrite={mayWrite && hasMakers} />}
      <span className="text-soft text-sm">{factsOf(part)}</span>
      {mayWrite && (
        <SegmentTools {...{ segment, position, count, things, onEdit }} onNote={() => setIsNoting(true)}>
          {isOwn && (
            <ToShelf
              {...{ part, ages, onEdit }}
              onShelf={(key) => {
                setShelved(key);
                title.current?.focus();
              }}
            />
          )}
        </SegmentTools>
      )}
      {shelved && (
        <span role="status" className="basis-full text-sm">
          It’s on the shelf now. <a href={`/shelf/activity/${encodeURIComponent(shelved)}`}>See it there</a>
        </span>
      )}
      {isNoting && <NoteForm part={segment.id} onEdit={onEdit} onClose={() => setIsNoting(false)} />}
      <HeardSounds sounds={sounds} recorded={recorded} />
      {children}
    </header>
  );
}

/** The title of a part that the author wrote. */
function OwnTitle({ segment, onEdit }: OfSegment) {
  return (
    <input
      key={segment.title}
      className="min-h-7 min-w-56 border-b border-dashed border-b-soft [font:inherit]"
      aria-label="Title of this part"
      defaultValue={segment.title}
      maxLength={300}
      onBlur={({ target }) => {
        const title = target.value.trim();
        if (title && title !== segment.title) onEdit({ do: 'rename-segment', segment: segment.id, title });
        else target.value = segment.title;
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

/** The dials of a part that a maker writes. */
function MadeDials({ segment, mayWrite, onEdit }: OfSegment & { readonly mayWrite: boolean }) {
  return (
    <span className="text-soft text-sm">
      {segment.dials.map((dial) => (
        <span key={dial.name}>
          {dial.label}{' '}
          <DialChip
            dial={dial}
            mayWrite={mayWrite}
            onTurn={(value) => onEdit({ do: 'turn-dial', segment: segment.id, dial: dial.name, value })}
          />{' '}
        </span>
      ))}
    </span>
  );
}

type SegmentToolsProps = OfSegment &
  Pick<SegmentSheetProps, 'position' | 'count' | 'things'> & {
    readonly onNote: () => void;
    readonly children: ReactNode;
  };

function SegmentTools({ segment, position, count, things, onEdit, onNote, children }: SegmentToolsProps) {
  return (
    <span className="segment-tools">
      <MinutesEditor segment={segment} onEdit={onEdit} />
      {!segment.made && <NeedsEditor {...{ segment, things, onEdit }} />}
      {segment.from && !segment.made && <FromShelf {...{ segment, onEdit }} />}
      {children}
      <button type="button" onClick={onNote} aria-label={`note on ${segment.title}`}>
        note
      </button>
      <button
        type="button"
        onClick={() => onEdit({ do: 'add-segment', segment: partAgain(segment, newId()), at: position + 1 })}
        aria-label={`copy ${segment.title}`}
      >
        copy
      </button>
      <button
        type="button"
        disabled={position === 0}
        onClick={() => onEdit({ do: 'move-segment', segment: segment.id, to: position - 1 })}
        aria-label={`Move ${segment.title} earlier`}
      >
        earlier
      </button>
      <button
        type="button"
        disabled={position === count - 1}
        onClick={() => onEdit({ do: 'move-segment', segment: segment.id, to: position + 1 })}
        aria-label={`Move ${segment.title} later`}
      >
        later
      </button>
      <button
        type="button"
        onClick={() => onEdit({ do: 'remove-segment', segment: segment.id })}
        aria-label={`take out ${segment.title}`}
      >
        take out
      </button>
    </span>
  );
}

function LevelChoice({
  segment,
  onChoose,
}: {
  segment: ComposedSegment['segment'];
  onChoose: (level: LevelName) => void;
}) {
  const offered = LEVELS.filter((level) => level === 'right' || segment.levels[level]);
  if (offered.length < 2) return null;
  return (
    <span
      role="group"
      aria-label="Level"
      className="inline-flex gap-3 text-sm [&_button]:link [&_button]:link-primary [&_button]:min-h-6 [&_button[aria-pressed=true]]:text-ink [&_button[aria-pressed=true]]:font-bold [&_button[aria-pressed=true]]:no-underline pointer-coarse:[&_button]:min-h-11 pointer-coarse:[&_button]:min-w-11"
    >
      {offered.map((level) => (
        <button key={level} type="button" aria-pressed={segment.level === level} onClick={() => onChoose(level)}>
          {LEVEL_WORDS[level]}
        </button>
      ))}
    </span>
  );
}

/** Where it is, how long it takes to set up and how long it then holds a child. */
function factsOf({ segment, setup, together, alone, wait }: ComposedSegment): string {
  const likely = (spread: ReturnType<typeof spreadOf>) => wholeMinutes(spread.mean);
  const setupMinutes = likely(spreadOf(setup));
  const aloneMinutes = likely(spreadOf(alone));
  return [
    segment.where,
    setupMinutes > 0 && `set-up ${setupMinutes} min`,
    `${likely(spreadOf(together))} min ${segment.posture === 'seated' ? 'sitting' : segment.posture === 'moving' ? 'moving' : 'together'}`,
    aloneMinutes > 0 && `then ${aloneMinutes} min alone`,
    wait && wait[2] > 0 && `and ${likely(spreadOf(wait))} min to dry or rise`,
  ]
    .filter(Boolean)
    .join(' · ');
}
