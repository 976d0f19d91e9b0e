import { createContext, useEffect, useMemo, useState } from 'react';
import type { ToldWhereabouts, Whereabouts } from '../../contracts/whereabouts.ts';
import { newId } from '../autosave/newId.ts';
import type { NewsStream } from '../autosave/newsStream.ts';
import { askServer } from '../ui/askServer.ts';

/** Who is in a session in another window, and where. */
export type OtherHere = Pick<ToldWhereabouts, 'window' | 'name' | 'part' | 'line'> & {
  /** The same person in another window. */
  readonly isMe: boolean;
};

const MS_BETWEEN_SIGNS = 20_000;
/** A window that has given no sign for so long has gone. */
const MS_UNTIL_GONE = 50_000;
const PAUSE_MS = 400;
/** More in one session are not listed. */
const MOST_LISTED = 20;

type Place = Pick<Whereabouts, 'part' | 'line'>;

/** Those who have this session open too, by their windows; and tells theirs where this one is. */
export function useOthersHere(id: string, { news, me }: { news: NewsStream; me: string }): readonly OtherHere[] {
  const [others, setOthers] = useState<readonly (OtherHere & { readonly at: number })[]>([]);
  const [mine] = useState(newId);
  useEffect(() => {
    const teller = makeTeller(`/api/sessions/${id}/here`, mine);
    const hear = (data: string) => {
      const told = JSON.parse(data) as ToldWhereabouts;
      if (told.window === mine) return;
      const at = performance.now();
      const { window, name, part, line } = told;
      setOthers((before) => {
        const rest = before.filter((other) => other.window !== window);
        return told.isLeaving
          ? rest
          : [...rest, { window, name, part, line, isMe: told.person === me, at }].slice(-MOST_LISTED);
      });
      if (told.isNew) teller.tell();
    };
    const ends = [news.on('here', hear), news.on('open', () => teller.tell({ isNew: true })), teller.watch()];
    if (news.isOpen()) teller.tell({ isNew: true });
    const timer = setInterval(() => {
      if (news.isOpen()) teller.tell();
      const since = performance.now() - MS_UNTIL_GONE;
      setOthers((before) => (before.every(({ at }) => at > since) ? before : before.filter(({ at }) => at > since)));
    }, MS_BETWEEN_SIGNS);
    return () => {
      for (const end of ends) end();
      clearInterval(timer);
    };
  }, [id, mine, news, me]);
  return others;
}

/** Tells where the caret is, a moment after it has come to another line, and when the window goes. */
function makeTeller(address: string, mine: string) {
  let place: Place = {};
  let pause: ReturnType<typeof setTimeout> | undefined;
  const say = (more: Partial<Whereabouts>): Whereabouts => ({ window: mine, ...place, ...more });
  const tell = (more: Partial<Whereabouts> = {}) => void askServer(address, { json: say(more) });
  const look = () => {
    const now = placeOfCaret();
    if (now.part === place.part && now.line === place.line) return;
    place = now;
    clearTimeout(pause);
    pause = setTimeout(tell, PAUSE_MS);
  };
  const leave = () => {
    clearTimeout(pause);
    navigator.sendBeacon(address, new Blob([JSON.stringify(say({ isLeaving: true }))], { type: 'application/json' }));
  };
  const leaveIfHidden = () => document.visibilityState === 'hidden' && leave();
  const watch = () => {
    document.addEventListener('selectionchange', look);
    document.addEventListener('focusin', look);
    document.addEventListener('visibilitychange', leaveIfHidden);
    window.addEventListener('pagehide', leave);
    return () => {
      clearTimeout(pause);
      document.removeEventListener('selectionchange', look);
      document.removeEventListener('focusin', look);
      document.removeEventListener('visibilitychange', leaveIfHidden);
      window.removeEventListener('pagehide', leave);
    };
  };
  return { tell, watch };
}

/** The part and the line that the caret or the focus is in; nothing where it is in none. */
export function placeOfCaret(): Place {
  const { activeElement } = document;
  const part = activeElement?.closest('.segment')?.id.replace(/^part-/, '');
  if (!part) return {};
  const anchor = document.getSelection()?.anchorNode;
  const line = (anchor instanceof Element ? anchor : anchor?.parentElement)?.closest<HTMLElement>('.line')?.dataset
    .line;
  return { part, ...(line && activeElement?.classList.contains('script-lines') && { line }) };
}

/** Where others are, by part and line: their names. */
export interface HerePlaces {
  readonly of: (part: string, line: string) => string;
}

export const HereContext = createContext<HerePlaces>({ of: () => '' });

/** The names of others at each line. */
export function useHerePlaces(others: readonly OtherHere[]): HerePlaces {
  return useMemo(
    () => ({
      of: (part, line) => namesOf(others.filter((other) => other.part === part && other.line === line)),
    }),
    [others],
  );
}

/** Their names, each once. */
function namesOf(others: readonly Pick<OtherHere, 'name' | 'isMe'>[]): string {
  return [...new Set(others.map(({ name, isMe }) => (isMe ? 'you' : name)))].join(', ');
}
