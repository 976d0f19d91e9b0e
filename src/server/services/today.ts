import type { DueItem } from '../../core/calendar/index.ts';
import { today } from '../clock.ts';
import { readAnswers } from '../db/repositories/post.ts';
import { readTicks } from '../db/repositories/ticks.ts';
import { tickKey } from './ticks.ts';
import type { Person } from './person.ts';
import { readDue } from './preparations.ts';

export interface TodayPage {
  readonly today: string;
  readonly due: readonly DueItem[];
  /** What was due and is ticked off. */
  readonly done: readonly DueItem[];
  /** The term that runs or comes next, for what stands in it only. */
  readonly termId: string | null;
  /** Sessions with answers, newest answer first. */
  readonly answered: readonly { sessionId: string; title: string; replies: number; homes: number; latest: Date }[];
}

const WEEKS_AHEAD = 2;

/** What is due and what came back: seven queries. */
export async function readToday(person: Person): Promise<TodayPage> {
  const [{ due, terms }, post, ticks] = await Promise.all([
    readDue(person, WEEKS_AHEAD * 7),
    readAnswers(person.programmeId),
    readTicks(person.programmeId),
  ]);
  return {
    today: today(person.settings),
    due: due.filter((item) => !ticks.has(tickKey(item))),
    done: due.filter((item) => ticks.has(tickKey(item))),
    termId: terms.at(-1)?.id ?? null,
    answered: post.flatMap(({ latest, ...line }) => (latest ? [{ ...line, latest }] : [])),
  };
}
