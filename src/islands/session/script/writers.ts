import { createContext } from 'react';

type Flush = () => void;

/** Those who hold words that are no edit yet, and how they are made one. */
export interface Writers {
  /** Somebody who may hold words; gives what ends that. */
  readonly add: (who: object, flush: Flush) => () => void;
  /** Whether this one holds words that are no edit yet. */
  readonly typing: (who: object, isTyping: boolean) => void;
  /** Makes edits of all words. */
  readonly flush: () => void;
  /** Whether anybody holds words that are no edit yet. */
  readonly holds: () => boolean;
  readonly subscribe: (listener: () => void) => () => void;
}

/** Keeps who writes on a sheet. */
export function makeWriters(): Writers {
  const all = new Map<object, Flush>();
  const holding = new Set<object>();
  const listeners = new Set<() => void>();
  const change = (change: () => void) => {
    const before = holding.size > 0;
    change();
    if (before !== holding.size > 0) for (const listener of listeners) listener();
  };
  return {
    add: (who, flush) => {
      all.set(who, flush);
      return () => {
        all.delete(who);
        change(() => holding.delete(who));
      };
    },
    typing: (who, isTyping) => change(() => (isTyping ? holding.add(who) : holding.delete(who))),
    flush: () => {
      for (const flush of [...all.values()]) flush();
    },
    holds: () => holding.size > 0,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

export const WritersContext = createContext<Writers>(makeWriters());
