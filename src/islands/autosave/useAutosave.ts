import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { Newer } from './keepOnServer.ts';
import { type Keeping, ServerCopy, type Shown } from './serverCopy.ts';
import { useDraft, useWarning } from './useDraft.ts';
import { useNews } from './useNews.ts';
import { useTyped } from './useTyped.ts';

const PAUSE_MS = 500;
const RETRY_MS = 2500;
/** Each try that finds nobody waits twice as long, up to half a minute. */
const LONGEST_RETRY_MS = 30_000;

/** Words that somebody wrote and that are no part of the value yet. */
interface WordsHeld {
  readonly holds: () => boolean;
  readonly subscribe: (listener: () => void) => () => void;
}

const NO_WORDS: WordsHeld = { holds: () => false, subscribe: () => () => undefined };

interface KeepingInput<Value> extends Shown<Value> {
  /** Who holds words that are no part of the value yet; absent: nobody does. */
  readonly writers?: WordsHeld | undefined;
}

/** Keeps a value as it is written: after each pause, again when it could not be reached, never over a newer one. */
export function useAutosave<Value>({ writers = NO_WORDS, ...input }: KeepingInput<Value>) {
  const { value, sharing } = input;
  const [keeping, setKeeping] = useState<Keeping<Value>>({ state: 'kept', at: input.keptAt });
  const latest = useRef<Shown<Value>>(input);
  latest.current = input;
  const [server] = useState(() => new ServerCopy(latest));
  const { isTyping, holdsTyped, take } = useTyped();
  // Whatever changes the value has taken up what was typed.
  useEffect(take, [value, take]);

  const keep = useCallback(async () => {
    // A timer may be due before the answer is drawn.
    if (!server.mayKeep()) return;
    setKeeping({ state: 'keeping' });
    setKeeping(await server.keep());
  }, [server]);

  useTrying({ value, keeping, keep, server });
  const isUnsettled = useCallback(() => server.isBusy || server.waits(), [server]);
  useNews({
    ...input,
    stream: sharing?.news,
    isBusy: isUnsettled,
    revision: server.revision,
    onKept: server.takeTheirs,
  });
  const isSafe = useDraft({ value, write: server.writeDraft, flushNow: sharing?.flushNow });
  useWarning(() => holdsTyped() || (!isSafe.current && (server.isBehind() || writers.holds())));

  /** Puts ours over what somebody else kept. */
  const overwriteRemote = (newer: Newer<Value>) => {
    server.goOnFrom(newer);
    setKeeping({ state: 'keeping' });
  };
  /** Goes on from what somebody else kept. */
  const loadRemote = (newer: Newer<Value>) => {
    server.goOnFrom(newer);
    setKeeping({ state: 'kept', at: newer.keptAt });
  };
  const isWriting = useSyncExternalStore(writers.subscribe, writers.holds, () => false);
  const isKept = value === server.kept && !isTyping && !isWriting;
  return { keeping, isKept, overwriteRemote, loadRemote };
}

interface Trying<Value> {
  readonly value: Value;
  readonly keeping: Keeping<Value>;
  readonly keep: () => Promise<void>;
  readonly server: ServerCopy<Value>;
}

/** Keeps what changed after a pause, and tries again later and later while nobody is there. */
function useTrying<Value>({ value, keeping, keep, server }: Trying<Value>): void {
  useEffect(() => {
    if (!server.isBehind() || keeping.state === 'newer') return undefined;
    const timer = setTimeout(
      () => void keep(),
      keeping.state === 'away' ? Math.min(LONGEST_RETRY_MS, RETRY_MS * 2 ** (server.triesAway - 1)) : PAUSE_MS,
    );
    return () => clearTimeout(timer);
  }, [value, keeping, keep, server]);
}
