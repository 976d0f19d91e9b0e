import { useEffect, useMemo } from 'react';

type NewsEvent = 'open' | 'kept' | 'here';
type Listener = (data: string) => void;

/** What others do, told at once while this window is looked at. */
export interface NewsStream {
  /** Hears of one kind of news; gives what ends that. */
  readonly on: (event: NewsEvent, listener: Listener) => () => void;
  /** Whether news would be heard; where it is not, somebody has to ask. */
  readonly isOpen: () => boolean;
}

const EVENTS = ['open', 'kept', 'here'] as const;
/** A server that refuses to tell is asked again after so long. */
const MS_AFTER_REFUSAL = 30_000;

/** News of an address by server-sent events. A window that is not looked at hears nothing, and holds no connection. */
export function useNewsStream(address: string): NewsStream {
  const [stream, keepOpen] = useMemo(() => makeStream(address), [address]);
  useEffect(keepOpen, [keepOpen]);
  return stream;
}

function makeStream(address: string): [NewsStream, () => () => void] {
  const listeners: Record<NewsEvent, Set<Listener>> = { open: new Set(), kept: new Set(), here: new Set() };
  let source: EventSource | null = null;
  let again: ReturnType<typeof setTimeout> | undefined;
  const close = () => {
    clearTimeout(again);
    source?.close();
    source = null;
  };
  const open = () => {
    if (source || !('EventSource' in window)) return;
    clearTimeout(again);
    const made = new EventSource(address);
    source = made;
    for (const event of EVENTS)
      made.addEventListener(event, (message) => {
        for (const listener of listeners[event]) listener(String((message as MessageEvent<unknown>).data ?? ''));
      });
    // A cut connection is opened again by the browser; one that was refused is not.
    made.addEventListener('error', () => {
      if (made.readyState !== EventSource.CLOSED || source !== made) return;
      close();
      again = setTimeout(look, MS_AFTER_REFUSAL);
    });
  };
  const look = () => (document.visibilityState === 'visible' ? open() : close());
  const stream: NewsStream = {
    on: (event, listener) => {
      listeners[event].add(listener);
      return () => listeners[event].delete(listener);
    },
    isOpen: () => source?.readyState === 1,
  };
  const keepOpen = () => {
    look();
    document.addEventListener('visibilitychange', look);
    window.addEventListener('pagehide', close);
    return () => {
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('pagehide', close);
      close();
    };
  };
  return [stream, keepOpen];
}
