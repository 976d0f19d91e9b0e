import { useCallback, useEffect, useRef, useState } from 'react';
import type { ErrorAnswer } from '../../contracts/errors.ts';
import type { Session } from '../../core/script/session.ts';

/** What somebody else kept meanwhile. */
export interface Newer {
  readonly revision: number;
  readonly keptAt: string;
  readonly keptBy: string;
  readonly session: Session;
}

export type Keeping =
  | { readonly state: 'kept'; readonly at: string }
  | { readonly state: 'keeping' }
  | { readonly state: 'away'; readonly message: string }
  | { readonly state: 'refused'; readonly message: string }
  | { readonly state: 'newer'; readonly message: string; readonly newer: Newer };

const PAUSE_MS = 500;
const RETRY_MS = 2500;

interface KeepingInput {
  readonly id: string;
  readonly session: Session;
  readonly revision: number;
  readonly keptAt: string;
}

/** Keeps the session as it is written: after each pause, again when it could not be reached, never over a newer one. */
export function useKeeping({ id, session, revision, keptAt }: KeepingInput) {
  const [keeping, setKeeping] = useState<Keeping>({ state: 'kept', at: keptAt });
  const keptSession = useRef(session);
  const keptRevision = useRef(revision);
  const latest = useRef(session);
  const isBusy = useRef(false);
  const lastTried = useRef(session);
  latest.current = session;

  const keep = useCallback(async () => {
    if (isBusy.current || latest.current === keptSession.current) return;
    isBusy.current = true;
    const sending = latest.current;
    lastTried.current = sending;
    setKeeping({ state: 'keeping' });
    const answer = await putSession(id, keptRevision.current, sending);
    isBusy.current = false;
    if (answer.state === 'kept') {
      keptRevision.current = answer.revision;
      keptSession.current = sending;
    }
    setKeeping(answer);
  }, [id]);

  useEffect(() => {
    if (session === keptSession.current) return undefined;
    if (keeping.state === 'newer') return undefined;
    if (keeping.state === 'refused' && session === lastTried.current) return undefined;
    const timer = setTimeout(() => void keep(), keeping.state === 'away' ? RETRY_MS : PAUSE_MS);
    return () => clearTimeout(timer);
  }, [session, keeping, keep]);

  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (latest.current !== keptSession.current) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, []);

  /** Puts ours over what somebody else kept. */
  const keepOver = (newer: Newer) => {
    keptRevision.current = newer.revision;
    keptSession.current = newer.session;
    setKeeping({ state: 'keeping' });
  };
  /** Goes on from what somebody else kept. */
  const goOnFrom = (newer: Newer) => {
    keptRevision.current = newer.revision;
    keptSession.current = newer.session;
    setKeeping({ state: 'kept', at: newer.keptAt });
  };
  const isKept = session === keptSession.current;
  return { keeping, isKept, keepOver, goOnFrom };
}

type PutAnswer =
  Exclude<Keeping, { state: 'keeping' } | { state: 'kept' }> | { state: 'kept'; at: string; revision: number };

async function putSession(id: string, revision: number, session: Session): Promise<PutAnswer> {
  let answer: Response;
  try {
    answer = await fetch(`/api/sessions/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ revision, session }),
    });
  } catch {
    return {
      state: 'away',
      message:
        'Footstool cannot be reached at the moment. What you wrote is still in this window and is kept as soon as it is back.',
    };
  }
  if (answer.ok) {
    const kept = (await answer.json()) as { revision: number; keptAt: string };
    return { state: 'kept', at: kept.keptAt, revision: kept.revision };
  }
  const error = (await answer.json().catch(() => null)) as ErrorAnswer | null;
  const message = error?.message ?? 'This could not be kept. What you wrote is still in this window.';
  if (error?.code === 'conflict') return { state: 'newer', message, newer: error.current as Newer };
  return answer.status >= 500 ? { state: 'away', message } : { state: 'refused', message };
}
