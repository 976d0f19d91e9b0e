import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { ErrorAnswer } from '../../contracts/errors.ts';
import { askServer } from '../ui/askServer.ts';
import { useTyped } from './useTyped.ts';

/** What somebody else kept meanwhile. */
export interface Newer<Value> {
  readonly revision: number;
  readonly keptAt: string;
  readonly keptBy: string;
  readonly value: Value;
}

export type Keeping<Value = unknown> =
  | { readonly state: 'kept'; readonly at: string }
  | { readonly state: 'keeping' }
  | { readonly state: 'away'; readonly message: string }
  | { readonly state: 'refused'; readonly message: string }
  | { readonly state: 'newer'; readonly message: string; readonly newer: Newer<Value> };

const PAUSE_MS = 500;
const RETRY_MS = 2500;
/** Each try that finds nobody waits twice as long, up to half a minute. */
const LONGEST_RETRY_MS = 30_000;
const MOST_BYTES = 2 * 1024 * 1024;
const PASSING: readonly ErrorAnswer['code'][] = ['database-away', 'busy', 'too-many-tries'];

/** Words that somebody wrote and that are no part of the value yet. */
interface WordsHeld {
  readonly holds: () => boolean;
  readonly subscribe: (listener: () => void) => () => void;
}

const NO_WORDS: WordsHeld = { holds: () => false, subscribe: () => () => undefined };

interface KeepingInput<Value> {
  /** Where it is kept, by PUT. */
  readonly address: string;
  /** The name it has in what is sent. */
  readonly name: string;
  readonly value: Value;
  readonly revision: number;
  readonly keptAt: string;
  /** Who holds words that are no part of the value yet; absent: nobody does. */
  readonly writers?: WordsHeld | undefined;
  /** How two who keep at once go on; absent: one is asked to choose. */
  readonly sharing?: Sharing<Value> | undefined;
}

/** What is done where others may keep the same thing meanwhile. */
interface Sharing<Value> {
  readonly draft: { readonly write: (kept: Value, value: Value) => boolean; readonly drop: () => void };
  /** Makes edits of words at once, as the page may be gone the next moment. */
  readonly flushNow: () => void;
  /** Puts what was changed here since `kept` onto what somebody else kept. */
  readonly onOthers: (kept: Value, theirs: Value) => void;
}

/** Keeps a value as it is written: after each pause, again when it could not be reached, never over a newer one. */
export function useAutosave<Value>({
  address,
  name,
  value,
  revision,
  keptAt,
  writers = NO_WORDS,
  sharing,
}: KeepingInput<Value>) {
  const [keeping, setKeeping] = useState<Keeping<Value>>({ state: 'kept', at: keptAt });
  const keptValue = useRef(value);
  const keptRevision = useRef(revision);
  const latest = useRef(value);
  const isBusy = useRef(false);
  const lastTried = useRef(value);
  const triesAway = useRef(0);
  const { isTyping, holdsTyped, take } = useTyped();
  // Whatever changes the value has taken up what was typed.
  useEffect(take, [value, take]);
  latest.current = value;

  const keep = useCallback(async () => {
    if (isBusy.current || latest.current === keptValue.current) return;
    isBusy.current = true;
    const sending = latest.current;
    lastTried.current = sending;
    setKeeping({ state: 'keeping' });
    const answer = await put<Value>({ address, name }, keptRevision.current, sending);
    isBusy.current = false;
    triesAway.current = answer.state === 'away' ? triesAway.current + 1 : 0;
    if (answer.state === 'kept') {
      keptRevision.current = answer.revision;
      keptValue.current = sending;
      if (latest.current === sending) sharing?.draft.drop();
    }
    if (answer.state === 'newer' && sharing) {
      const former = keptValue.current;
      keptRevision.current = answer.newer.revision;
      keptValue.current = answer.newer.value;
      sharing.onOthers(former, answer.newer.value);
      // What of ours is not in it yet is kept next; nothing may be.
      return setKeeping({ state: 'kept', at: answer.newer.keptAt });
    }
    return setKeeping(answer);
  }, [address, name, sharing]);

  useTrying({ value, keeping, keep, keptValue, lastTried, triesAway });
  useNews({ address, name, sharing, isBusy, keptRevision, keptValue });
  const isSafe = useDraft(sharing, { latest, keptValue, value });
  useWarning(() => holdsTyped() || (!isSafe.current && (latest.current !== keptValue.current || writers.holds())));

  /** Puts ours over what somebody else kept. */
  const overwriteRemote = (newer: Newer<Value>) => {
    keptRevision.current = newer.revision;
    keptValue.current = newer.value;
    setKeeping({ state: 'keeping' });
  };
  /** Goes on from what somebody else kept. */
  const loadRemote = (newer: Newer<Value>) => {
    keptRevision.current = newer.revision;
    keptValue.current = newer.value;
    setKeeping({ state: 'kept', at: newer.keptAt });
  };
  const isWriting = useSyncExternalStore(writers.subscribe, writers.holds, () => false);
  const isKept = value === keptValue.current && !isTyping && !isWriting;
  return { keeping, isKept, overwriteRemote, loadRemote };
}

interface Trying<Value> {
  readonly value: Value;
  readonly keeping: Keeping<Value>;
  readonly keep: () => Promise<void>;
  readonly keptValue: { readonly current: Value };
  readonly lastTried: { readonly current: Value };
  readonly triesAway: { readonly current: number };
}

/** Keeps what changed after a pause, and tries again later and later while nobody is there. */
function useTrying<Value>({ value, keeping, keep, keptValue, lastTried, triesAway }: Trying<Value>): void {
  useEffect(() => {
    if (value === keptValue.current) return undefined;
    if (keeping.state === 'newer') return undefined;
    if (keeping.state === 'refused' && value === lastTried.current) return undefined;
    const timer = setTimeout(
      () => void keep(),
      keeping.state === 'away' ? Math.min(LONGEST_RETRY_MS, RETRY_MS * 2 ** (triesAway.current - 1)) : PAUSE_MS,
    );
    return () => clearTimeout(timer);
  }, [value, keeping, keep, keptValue, lastTried, triesAway]);
}

/** So often a window that is looked at asks what others did. */
const MS_BETWEEN_NEWS = 4000;

interface NewsInput<Value> extends Pick<KeepingInput<Value>, 'address' | 'name' | 'sharing'> {
  readonly isBusy: { readonly current: boolean };
  readonly keptRevision: { current: number };
  readonly keptValue: { current: Value };
}

/** Takes in what others kept meanwhile, while the window is looked at. */
function useNews<Value>({ address, name, sharing, isBusy, keptRevision, keptValue }: NewsInput<Value>): void {
  useEffect(() => {
    if (!sharing) return undefined;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || isBusy.current) return;
      const since = keptRevision.current;
      const asked = await askServer<{ revision: number } & Record<string, unknown>>(`${address}?since=${since}`);
      const theirs = asked.ok ? (asked.answer[name] as Value | undefined) : undefined;
      // What was kept from here in the meantime is newer than this answer.
      if (!asked.ok || theirs === undefined || isBusy.current || keptRevision.current !== since) return;
      const former = keptValue.current;
      keptRevision.current = asked.answer.revision;
      keptValue.current = theirs;
      sharing.onOthers(former, theirs);
    };
    const timer = setInterval(() => void ask(), MS_BETWEEN_NEWS);
    const look = () => void ask();
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [address, name, sharing, isBusy, keptRevision, keptValue]);
}

interface Drafted<Value> {
  readonly latest: { readonly current: Value };
  readonly keptValue: { readonly current: Value };
  readonly value: Value;
}

/** Keeps what is not kept yet on this device, at each change and when the page goes. Tells whether that worked. */
function useDraft<Value>(
  sharing: Sharing<Value> | undefined,
  { latest, keptValue, value }: Drafted<Value>,
): { readonly current: boolean } {
  const isSafe = useRef(false);
  useEffect(() => {
    if (!sharing) return undefined;
    const write = () => {
      if (latest.current !== keptValue.current) isSafe.current = sharing.draft.write(keptValue.current, latest.current);
    };
    write();
    const leave = () => {
      sharing.flushNow();
      write();
    };
    window.addEventListener('pagehide', leave);
    window.addEventListener('beforeunload', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('beforeunload', leave);
    };
  }, [sharing, value, latest, keptValue]);
  return isSafe;
}

/** Asks before the page is closed while something would be lost. */
function useWarning(wouldLose: () => boolean): void {
  const asked = useRef(wouldLose);
  asked.current = wouldLose;
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (asked.current()) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, []);
}

type PutAnswer<Value> =
  Exclude<Keeping<Value>, { state: 'keeping' } | { state: 'kept' }> | { state: 'kept'; at: string; revision: number };

async function put<Value>(
  { address, name }: { address: string; name: string },
  revision: number,
  value: Value,
): Promise<PutAnswer<Value>> {
  if (JSON.stringify(value).length > MOST_BYTES)
    return {
      state: 'refused',
      message: 'This has become too large to keep. What you wrote is still in this window; take something out of it.',
    };
  const asked = await askServer<{ revision?: number; keptAt?: string }>(address, {
    method: 'PUT',
    json: { revision, [name]: value },
  });
  const { revision: keptRevision, keptAt } = asked.ok ? asked.answer : {};
  if (keptRevision !== undefined && keptAt !== undefined) return { state: 'kept', at: keptAt, revision: keptRevision };
  const error = asked.ok ? null : asked.error;
  if (!error)
    return {
      state: 'away',
      message:
        'Footstool cannot be reached at the moment. What you wrote is still in this window and is kept as soon as it is back.',
    };
  const { message } = error;
  if (error.code === 'conflict') {
    const current = error.current as Omit<Newer<Value>, 'value'> & Record<string, unknown>;
    return { state: 'newer', message, newer: { ...current, value: current[name] as Value } };
  }
  // Only what passes by itself is tried again by itself.
  return PASSING.includes(error.code) ? { state: 'away', message } : { state: 'refused', message };
}
