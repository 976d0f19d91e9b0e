import type { PlanReason, TermEdit, TermSession, WeekRow } from '../../core/terms/index.ts';
import { shortDay } from '../../messages/dates.ts';
import { describeWeekNote } from '../../messages/term.ts';
import { newId } from '../autosave/newId.ts';
import { SessionCell } from './SessionCell.tsx';
import { SkillStrip } from './SkillStrip.tsx';
import type { TermProps } from './termTypes.ts';

interface WeekRowViewProps {
  readonly row: WeekRow;
  readonly index: number;
  readonly termId: string;
  readonly shelf: TermProps['shelf'];
  readonly reasons: Readonly<Record<string, Readonly<Record<string, readonly PlanReason[]>>>>;
  readonly names: Readonly<Record<string, string>>;
  /** Ids of all sessions in order, for moving by buttons. */
  readonly order: readonly string[];
  /** What the sessions of the week that are held touch. */
  readonly skills: readonly string[];
  readonly today: string;
  readonly mayWrite: boolean;
  readonly isKept: boolean;
  readonly onEdit: (edit: TermEdit) => void;
}

/** A week: its date, theme and notes, its sessions, and the skills they touch. */
export function WeekRowView(props: WeekRowViewProps) {
  const { row, index, shelf, skills, reasons, names, today, mayWrite, onEdit } = props;
  const { week, number, sessions, isLight } = row;
  const isOff = number === null && sessions.length > 0;
  return (
    <li className={`week ${isOff ? 'week-off' : ''}`} aria-label={weekName(row)}>
      <div className="text-right border-r border-line font-heading leading-tight [&_span]:block [&_span]:text-soft [&_span]:text-xs">
        <strong>{shortDay(sessions[0]?.on ?? week.monday)}</strong>
        <span>{number === null ? 'none held' : `week ${number}`}</span>
      </div>
      <WeekFacts {...{ row, index, mayWrite, onEdit }} />
      <div>
        {sessions.length === 0 && <span className="text-soft">no session</span>}
        {sessions.map((planned) => (
          <SessionCell
            key={planned.session.id}
            {...{ planned, shelf, mayWrite, today, onEdit, row }}
            name={names[planned.session.id]!}
            reasons={reasons[planned.session.id] ?? {}}
            termId={props.termId}
            isKept={props.isKept}
            order={props.order}
            isLight={isLight}
          />
        ))}
      </div>
      <SkillStrip skills={skills} />
    </li>
  );
}

/** A week's theme, its step of the sequence, what is to be known of it, and what can be set. */
function WeekFacts({ row, index, mayWrite, onEdit }: Pick<WeekRowViewProps, 'row' | 'index' | 'mayWrite' | 'onEdit'>) {
  const { week, step, notes } = row;
  return (
    <div className="grid content-start gap-0.5 [&>input]:font-heading [&>input]:font-bold [&>input]:bg-transparent [&>input]:w-full [&>input]:border-b [&>input]:border-dotted [&>input]:border-transparent [&>input:is(:hover,:focus)]:border-soft">
      <input
        aria-label={`Theme of ${weekName(row)}`}
        key={week.theme}
        defaultValue={week.theme.replaceAll('-', ' ')}
        placeholder="no theme yet"
        maxLength={80}
        readOnly={!mayWrite}
        onBlur={({ target }) => {
          const theme = asThemeKey(target.value);
          if (theme !== week.theme) onEdit({ do: 'set-theme', week: index, theme });
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      {step && <span className="text-sm text-soft">{step}</span>}
      {notes.map((note) => (
        <span key={describeWeekNote(note)} className="text-xs text-mulberry">
          {describeWeekNote(note)}
        </span>
      ))}
      {mayWrite && <ThisWeek {...{ row, index, onEdit }} />}
    </div>
  );
}

function ThisWeek({ row: { week, sessions }, index, onEdit }: Pick<WeekRowViewProps, 'row' | 'index' | 'onEdit'>) {
  return (
    <details className="text-sm [&_summary]:min-h-6 [&_summary]:text-soft [&_summary]:cursor-pointer [&_summary]:list-none [&_summary]:underline [&_summary]:decoration-dotted [&_summary]:underline-offset-[3px] [&_summary]:w-fit [&_label]:block">
      <summary>this week</summary>
      <label>
        <input
          className="checkbox checkbox-sm"
          type="checkbox"
          checked={week.isHeavy}
          onChange={({ target }) => onEdit({ do: 'set-heavy', week: index, isHeavy: target.checked })}
        />{' '}
        a busy week: keep it light
      </label>
      <label>
        <input
          className="checkbox checkbox-sm"
          type="checkbox"
          checked={week.pausesSequence}
          onChange={({ target }) => onEdit({ do: 'pause-sequence', week: index, pauses: target.checked })}
        />{' '}
        the sequence waits
      </label>
      <button
        type="button"
        className="link link-primary"
        disabled={sessions.length >= 7}
        onClick={() => onEdit({ do: 'add-session', week: index, id: newId() })}
      >
        add a session
      </button>
    </details>
  );
}

/** What a session is called while it is moved: its book or theme, and its day. */
export function sessionName(
  session: TermSession,
  { shelf, row, on }: { shelf: TermProps['shelf']; row: WeekRow; on: string },
): string {
  const book = shelf.books.find(({ key }) => key === session.book);
  return `${book?.title ?? (row.week.theme.replaceAll('-', ' ') || 'the session')}, ${shortDay(on)}`;
}

function weekName({ week, number }: WeekRow): string {
  return number === null ? `the week of ${shortDay(week.monday)}` : `week ${number}`;
}

function asThemeKey(words: string): string {
  return words
    .trim()
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '');
}
