import { useEffect, useState } from 'react';
import { newId } from '../autosave/newId.ts';
import type { RehearsedLine } from '../../core/guide/index.ts';

interface Progress {
  readonly at: number;
  readonly isOver: boolean;
  readonly isPaused: boolean;
  /** Seconds by part. */
  readonly spent: Readonly<Record<string, number>>;
  /** Names this rehearsal: what is sent twice is kept once. */
  readonly name: string;
  /** Notes by part and line, as `noteKey` has it. */
  readonly notes: Readonly<Record<string, string>>;
}

const START: Progress = { at: 0, isOver: false, isPaused: false, spent: {}, notes: {}, name: '' };

/** Lines of two parts may share an id. */
export const noteKey = ({ part, line }: Pick<RehearsedLine, 'part' | 'line'>): string => `${part}/${line}`;

/** Where a rehearsal is, how long each part took so far, and what was noted; a reload in the middle loses nothing. */
export function useRehearsing(id: string, lines: readonly RehearsedLine[], isKept: boolean) {
  const key = `footstool-rehearsal-${id}`;
  const [progress, setProgress] = useState<Progress>(START);
  useEffect(() => {
    const kept = isKept ? START : readKept(key, lines.length);
    setProgress({ ...kept, name: kept.name || newId() });
    // Another visit begins another rehearsal, and does not say again that this one is kept.
    if (isKept) history.replaceState(null, '', location.pathname);
  }, [key, lines.length, isKept]);
  useEffect(() => {
    // Nothing is written over before it was read.
    if (progress.name === '') return;
    try {
      sessionStorage.setItem(key, JSON.stringify(progress));
    } catch {
      // A browser that keeps nothing: the rehearsal goes on, and is gone with the page.
    }
  }, [key, progress]);
  const { at, isOver, isPaused } = progress;
  const part = lines[at]?.part;
  useEffect(() => {
    if (isOver || isPaused || part === undefined) return undefined;
    const timer = setInterval(
      () => setProgress((now) => ({ ...now, spent: { ...now.spent, [part]: (now.spent[part] ?? 0) + 1 } })),
      1000,
    );
    return () => clearInterval(timer);
  }, [part, isOver, isPaused]);
  return {
    ...progress,
    lines,
    seconds: Object.values(progress.spent).reduce((sum, seconds) => sum + seconds, 0),
    go: (step: number) =>
      setProgress((now) => {
        const next = Math.max(0, now.at + step);
        return next >= lines.length ? { ...now, isOver: true } : { ...now, at: next };
      }),
    pause: () => setProgress((now) => ({ ...now, isPaused: !now.isPaused })),
    note: (text: string) =>
      setProgress((now) => ({ ...now, notes: { ...now.notes, [noteKey(lines[now.at]!)]: text } })),
    again: () => setProgress({ ...START, notes: progress.notes, name: newId() }),
  };
}

function readKept(key: string, count: number): Progress {
  try {
    const kept = JSON.parse(sessionStorage.getItem(key) ?? 'null') as Progress | null;
    return kept && kept.at < count ? { ...START, ...kept } : START;
  } catch {
    return START;
  }
}

/** Seconds as one says them: minutes and seconds. */
export function clockWords(seconds: number): string {
  const whole = Math.floor(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
