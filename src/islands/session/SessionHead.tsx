import { agesFromYears, agesInYears, type Edit, type Session } from '../../core/session/index.ts';
import type { Tape } from '../../core/time/index.ts';
import { dayInWords } from '../../messages/dates.ts';
import { SaveStatus } from '../autosave/SaveStatus.tsx';
import type { Keeping } from '../autosave/serverCopy.ts';

interface SessionHeadProps {
  readonly id: string;
  readonly session: Session;
  readonly total: Tape['total'];
  /** When it last went out, in words. */
  readonly sentAt: string | undefined;
  readonly keeping: Keeping;
  readonly isKept: boolean;
  readonly mayWrite: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly onEdit: (edit: Edit) => void;
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  readonly onHelp: () => void;
}

/** What the session is called, when and for whom, its aim, how long it most likely takes, and when it was kept. */
export function SessionHead(props: SessionHeadProps) {
  const { session, total, mayWrite, onEdit } = props;
  const describe = (change: Omit<Extract<Edit, { do: 'describe' }>, 'do'>) => onEdit({ do: 'describe', ...change });
  return (
    <div className="session-head">
      <div className="flex flex-wrap items-baseline gap-y-[0.15rem] gap-x-[1.1rem] [&_h1]:flex-[0_1_auto] [&_h1]:min-w-48 [&_h1_input]:[field-sizing:content] [&_h1_input]:max-w-full [&_h1_input]:min-w-40 [&_h1_input]:[font:inherit] [&_h1_input]:[letter-spacing:inherit] [&_h1_input]:bg-transparent [&_h1_input]:text-ellipsis">
        <TitleInput {...{ session, mayWrite }} onDescribe={describe} />
        <details className="session-when [&_summary]:text-soft [&_summary]:cursor-pointer [&_summary]:list-none [&_summary]:underline [&_summary]:decoration-dotted [&_summary]:underline-offset-4">
          <summary>
            {dayInWords(session.on, 'en-GB')}
            {session.at && `, ${session.at}`} · ages {agesInYears(session.ages).fromYears} to{' '}
            {agesInYears(session.ages).toYears}
            {session.minutes && ` · ${session.minutes} minutes planned`}
          </summary>
          {mayWrite && <WhenAndWho session={session} onDescribe={describe} />}
        </details>
        <HeadTools {...props} />
      </div>
      <div className="flex flex-wrap items-baseline gap-y-[0.15rem] gap-x-[1.1rem] mt-[0.15rem] [&_label]:flex [&_label]:flex-[1_1_24rem] [&_label]:gap-[0.6rem] [&_label]:items-baseline [&_label>span]:font-heading [&_label>span]:font-semibold [&_input]:flex-1 [&_input]:bg-transparent [&_input]:min-w-0 [&_input::placeholder]:text-soft">
        <label>
          <span>Aim</span>
          <input
            key={session.aim}
            defaultValue={session.aim}
            maxLength={1000}
            readOnly={!mayWrite}
            placeholder="one sentence: what will they notice if it works?"
            onBlur={({ target }) => target.value !== session.aim && describe({ aim: target.value })}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        </label>
        {props.sentAt && (
          <a className="text-sm" href={`/sent/${props.id}`}>
            sent {props.sentAt}
          </a>
        )}
        <strong className="likely font-heading font-semibold text-sm" aria-live="polite">
          about {Math.round(total.mean)} minutes; most homes {Math.round(total.low)} to {Math.round(total.high)}
        </strong>
      </div>
    </div>
  );
}

function TitleInput({
  session,
  mayWrite,
  onDescribe,
}: {
  session: Session;
  mayWrite: boolean;
  onDescribe: (change: { title: string }) => void;
}) {
  return (
    <h1>
      <input
        aria-label="Title of the session"
        key={session.title}
        defaultValue={session.title}
        maxLength={300}
        readOnly={!mayWrite}
        onBlur={({ target }) =>
          target.value.trim()
            ? target.value !== session.title && onDescribe({ title: target.value })
            : (target.value = session.title)
        }
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </h1>
  );
}

/** Whether it is kept, and what can be done with all of it. */
function HeadTools({ id, keeping, isKept, mayWrite, canUndo, canRedo, onUndo, onRedo, onHelp }: SessionHeadProps) {
  return (
    <span className="ml-auto flex flex-wrap items-baseline gap-x-4 [&>*]:whitespace-nowrap font-heading text-sm [&>button]:link [&>button]:link-primary pointer-coarse:[&_button]:min-h-11 pointer-coarse:[&_a]:min-h-11">
      <SaveStatus {...{ keeping, isKept }} />
      {mayWrite && (
        <>
          <button type="button" disabled={!canUndo} onClick={onUndo}>
            undo
          </button>
          <button type="button" disabled={!canRedo} onClick={onRedo}>
            redo
          </button>
        </>
      )}
      <a href={`/sessions/${id}/history`} aria-label="earlier versions">
        versions
      </a>
      <a href={`/sessions/${id}/prepare`}>prepare</a>
      <a href={`/sessions/${id}/rehearse`}>rehearse</a>
      {mayWrite && <a href={`/sessions/${id}/copy`}>copy or delete</a>}
      <button type="button" onClick={onHelp} aria-label="keys">
        keys
      </button>
    </span>
  );
}

function WhenAndWho({
  session,
  onDescribe,
}: {
  session: Session;
  onDescribe: (change: Omit<Extract<Edit, { do: 'describe' }>, 'do'>) => void;
}) {
  const years = agesInYears(session.ages);
  const setAges = (fromYears: number, toYears: number) => {
    if (
      Number.isInteger(fromYears) &&
      Number.isInteger(toYears) &&
      fromYears >= 0 &&
      fromYears <= toYears &&
      toYears <= 10
    ) {
      onDescribe({ ages: agesFromYears(fromYears, toYears) });
    }
  };
  return (
    <div className="flex flex-wrap gap-y-[0.4rem] gap-x-4 py-[0.4rem] px-0 ">
      <label>
        date{' '}
        <input
          className="input input-sm"
          type="date"
          value={session.on}
          onChange={({ target }) => target.value && onDescribe({ on: target.value })}
        />
      </label>
      <label>
        time{' '}
        <input
          className="input input-sm"
          type="time"
          value={session.at ?? ''}
          onChange={({ target }) => onDescribe({ at: target.value || undefined })}
        />
      </label>
      <AgeInput label="youngest" value={years.fromYears} onTurn={(value) => setAges(value, years.toYears)} />
      <AgeInput label="oldest" value={years.toYears} onTurn={(value) => setAges(years.fromYears, value)} />
      <label>
        minutes planned{' '}
        <input
          className="input input-sm w-18"
          type="number"
          min={1}
          max={240}
          value={session.minutes ?? ''}
          onChange={({ target: { value, valueAsNumber } }) =>
            (value === '' || (Number.isInteger(valueAsNumber) && valueAsNumber >= 1 && valueAsNumber <= 240)) &&
            onDescribe({ minutes: value === '' ? undefined : valueAsNumber })
          }
        />
      </label>
    </div>
  );
}

/** An age in whole years. */
function AgeInput(props: { label: string; value: number; onTurn: (years: number) => void }) {
  return (
    <label>
      {props.label}{' '}
      <input
        className="input input-sm w-18"
        type="number"
        min={0}
        max={10}
        value={props.value}
        onChange={({ target }) => props.onTurn(target.valueAsNumber)}
      />
    </label>
  );
}
