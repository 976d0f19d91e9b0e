import { askServer } from '../ui/askServer.ts';
import type { MakerSettings, MakerValues } from '../../core/session/index.ts';
import { useState } from 'react';
import type { Maker } from '../../core/makers/index.ts';

interface ToSessionProps {
  readonly maker: Maker;
  readonly values: MakerValues;
  readonly settings: MakerSettings;
  readonly sessions: readonly { readonly id: string; readonly title: string }[];
}

/** Puts what was made into a session, where its dials can be turned on. */
export function ToSession({ maker, values, sessions }: ToSessionProps) {
  const [session, setSession] = useState(sessions[0]?.id ?? '');
  const [problem, setProblem] = useState('');
  if (sessions.length === 0)
    return (
      <p>
        <a href="/sessions/new">Start a session</a> to put it into.
      </p>
    );
  const put = async () => {
    const asked = await askServer<object>(`/api/makers/${maker.id}`, { json: { session, values } });
    if (asked.ok) return window.location.assign(`/sessions/${session}`);
    return setProblem(
      asked.error?.message ?? 'Footstool cannot be reached at the moment. Nothing was changed; try again.',
    );
  };
  return (
    <div className="grid gap-2 justify-items-start mt-[1.2rem] [&_select]:max-w-64">
      <label>
        put it into
        <select className="select select-sm" value={session} onChange={({ target }) => setSession(target.value)}>
          {sessions.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      </label>
      <button type="button" className="btn btn-primary" onClick={() => void put()}>
        Add to the session
      </button>
      {problem && <p role="alert">{problem}</p>}
    </div>
  );
}
