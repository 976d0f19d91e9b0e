import { useEffect, useRef } from 'react';

interface Drafted {
  readonly value: unknown;
  /** Writes down what is not kept yet; true where it could be, null where there is nothing. */
  readonly write: () => boolean | null;
  /** Makes edits of words at once, as the page may be gone the next moment. Absent: nothing is written down. */
  readonly flushNow: (() => void) | undefined;
}

/** Keeps what is not kept yet on this device, at each change and when the page goes. Tells whether that worked. */
export function useDraft({ value, write, flushNow }: Drafted): { readonly current: boolean } {
  const isSafe = useRef(false);
  useEffect(() => {
    if (!flushNow) return undefined;
    const writeDown = () => {
      isSafe.current = write() ?? isSafe.current;
    };
    writeDown();
    const leave = () => {
      flushNow();
      writeDown();
    };
    window.addEventListener('pagehide', leave);
    window.addEventListener('beforeunload', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('beforeunload', leave);
    };
  }, [value, write, flushNow]);
  return isSafe;
}

/** Asks before the page is closed while something would be lost. */
export function useWarning(wouldLose: () => boolean): void {
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
