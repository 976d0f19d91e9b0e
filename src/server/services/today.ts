import { QueryTypes } from 'sequelize';
import { dueItems, type DueItem } from '../../core/calendar/dueItems.ts';
import { today } from '../clock.ts';
import { tables } from '../db/tables.ts';
import { readSessions } from '../db/repositories/sessions.ts';
import type { Person } from './person.ts';

export interface TodayPage {
  readonly today: string;
  readonly due: readonly DueItem[];
  /** Sessions with answers, newest answer first. */
  readonly answered: readonly { sessionId: string; title: string; replies: number; homes: number; latest: Date }[];
}

const WEEKS_AHEAD = 4;

/** What is due and what came back: two queries. */
export async function readToday(person: Person): Promise<TodayPage> {
  const day = today();
  const [sessions, post] = await Promise.all([readSessions(person.programmeId, day), readAnswers(person.programmeId)]);
  const sentAt = new Map(post.map((line) => [line.sessionId, line.sentAt.toISOString()]));
  const { weekend, closed, sendWorkingDays } = person.settings;
  return {
    today: day,
    due: dueItems({
      sessions: sessions.map((kept) => ({
        id: kept.id,
        session: kept.session,
        keptAt: kept.keptAt,
        sentAt: sentAt.get(kept.id) ?? null,
      })),
      today: day,
      weekend,
      closed,
      sendWorkingDays,
      daysAhead: WEEKS_AHEAD * 7,
    }),
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
