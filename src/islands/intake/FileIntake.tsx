import { useState, type FormEvent } from 'react';
import { ENTRY_KINDS, type EntryKind } from '../../contracts/shelfEntries.ts';
import { useIntake, type Intake } from './useIntake.ts';

const KIND_WORDS: Readonly<Record<EntryKind, string>> = {
  activity: 'activities',
  book: 'books',
  song: 'songs',
  thing: 'things',
};
const MOST_PROBLEMS_SHOWN = 200;

/** Takes in a long list of one kind, line by line, with how far it has come and what was left out. */
export function FileIntake() {
  const { intake, takeIn } = useIntake();
  const [kind, setKind] = useState<EntryKind>('thing');
  const start = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const file = new FormData(event.currentTarget).get('list');
    if (file instanceof File && file.size > 0) void takeIn(file, kind);
  };
  return (
    <form onSubmit={start}>
      <label className="field">
        <span>What is in it</span>
        <select className="select" value={kind} onChange={({ target }) => setKind(target.value as EntryKind)}>
          {ENTRY_KINDS.map((choice) => (
            <option key={choice} value={choice}>
              {KIND_WORDS[choice]}
            </option>
          ))}
        </select>
      </label>
      <label className="field">
        <span>List</span>
        <input className="file-input" type="file" name="list" accept=".csv,.json,text/csv,application/json" required />
      </label>
      <button className="btn btn-primary" disabled={intake.phase === 'working'}>
        Add the list
      </button>
      <IntakeReport intake={intake} />
    </form>
  );
}

function IntakeReport({ intake }: { intake: Intake }) {
  const { phase, done, total, added, replaced, problems, message, encoding } = intake;
  if (phase === 'idle') return null;
  if (phase === 'refused')
    return (
      <p className="alert alert-warning mt-4" role="alert">
        {message}
      </p>
    );
  return (
    <div className="mt-4" role={phase === 'working' ? undefined : 'status'}>
      <progress
        className="progress progress-primary w-full"
        max={Math.max(1, total)}
        value={done}
        aria-label="Lines added"
      />
      <p>
        {phase === 'working' ? `${done} of ${total} lines …` : `${total} lines read: `}
        {phase !== 'working' && `${added} added, ${replaced} replaced, ${total - added - replaced} left out.`}
        {message && ` ${message}`}
        {encoding === 'windows-1252' &&
          ' The file was not in UTF-8; it was read as Windows text, so look at its accents.'}
      </p>
      {problems.length > 0 && phase !== 'working' && (
        <div className="max-h-96 overflow-auto mt-[0.6rem]" tabIndex={0} role="region" aria-label="Lines left out">
          <table className="table text-sm">
            <thead>
              <tr>
                <th>Line</th>
                <th>Place</th>
                <th>What is wrong there</th>
              </tr>
            </thead>
            <tbody>
              {problems.slice(0, MOST_PROBLEMS_SHOWN).map(({ line, path, message: what }) => (
                <tr key={`${line}/${path}/${what}`}>
                  <td>{line}</td>
                  <td>{path}</td>
                  <td>{what}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {problems.length > MOST_PROBLEMS_SHOWN && (
            <p className="text-soft">and {problems.length - MOST_PROBLEMS_SHOWN} more</p>
          )}
        </div>
      )}
      {problems.length > 0 && phase !== 'working' && <p>The other lines are kept. Mend these and send them again.</p>}
    </div>
  );
}
