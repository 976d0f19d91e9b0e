import { QueryTypes } from 'sequelize';
import type { DueItem } from '../../core/calendar/dueItems.ts';
import { today } from '../clock.ts';
import { tables } from '../db/tables.ts';
import { readTicks, tickKey } from './ticks.ts';
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

const WEEKS_AHEAD = 4;

/** What is due and what came back: seven queries. */
export async function readToday(person: Person): Promise<TodayPage> {
  const [{ due, terms }, post, ticks] = await Promise.all([
    readDue(person, WEEKS_AHEAD * 7),
    readAnswers(person.programmeId),
    readTicks(person.programmeId),
  ]);
  return {
    today: today(),
    due: due.filter((item) => !ticks.has(tickKey(item))),
    done: due.filter((item) => ticks.has(tickKey(item))),
    termId: terms.at(-1)?.id ?? null,
    answered: post.flatMap(({ latest, ...line }) => (latest ? [{ ...line, latest }] : [])),
  };
}

interface AnswerLine {
  sessionId: string;
  title: string;
  sentAt: Date;
  homes: number;
  replies: number;
  latest: Date | null;
}

function readAnswers(programmeId: string): Promise<AnswerLine[]> {
  return tables().query<AnswerLine>(
    `SELECT sessions.id AS "sessionId", sessions.title,
            (SELECT max(sent_at) FROM sendings WHERE session_id = sessions.id) AS "sentAt",
            count(guide_links.id) FILTER (WHERE guide_links.revoked_at IS NULL)::int AS homes,
            count(replies.id)::int AS replies, max(replies.replied_at) AS latest
       FROM sessions
       JOIN guide_links ON guide_links.session_id = sessions.id
       LEFT JOIN replies ON replies.link_id = guide_links.id
      WHERE sessions.programme_id = :programmeId
      GROUP BY sessions.id
      ORDER BY latest DESC NULLS LAST
      LIMIT 40`,
    { replacements: { programmeId }, type: QueryTypes.SELECT },
  );
}
