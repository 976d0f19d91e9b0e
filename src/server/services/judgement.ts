import { homeFitter, type JudgedAgainst, judgementFrom, type SessionJudgement } from '../../core/checks/index.ts';
import { itemsServing } from '../../core/homes/index.ts';
import type { Session } from '../../core/session/index.ts';
import { keptSession } from '../../contracts/script.ts';
import { checkShape } from '../../contracts/problems.ts';
import { readDecisions } from '../db/repositories/decisions.ts';
import { readHomes } from '../db/repositories/homes.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { inSlices } from './inSlices.ts';
import { requireAuthor, type Person } from './person.ts';
import { findSession } from './sessions.ts';

/** What a session is judged against, with the homes it is judged for. Three queries, however many homes. */
export async function readAgainst(
  { programmeId, settings }: Pick<Person, 'programmeId' | 'settings'>,
  {
    id,
    session,
    wholeHomes = false,
  }: {
    id: string;
    session: Session;
    /** Whether homes come with all they have, and not only with what the session could use. */
    wholeHomes?: boolean;
  },
): Promise<JudgedAgainst> {
  const [things, decisions] = await Promise.all([readThings(programmeId), readDecisions(programmeId, id)]);
  const homes = await readHomes(programmeId, wholeHomes ? {} : { items: itemsServing(session, things) });
  return {
    things,
    policy: settings.cautions,
    decisions: decisions.map(({ segment, rule, subject, text, decided, youngestMonths, allergens }) => ({
      segment,
      rule,
      subject,
      text,
      decided,
      youngestMonths,
      allergens,
    })),
    homes: homes.map(({ contact: _contact, language: _language, ...home }) => home),
    seatedMinutesPerYear: settings.seatedMinutesPerYear,
    assumeCommon: true,
  };
}

/** Judges a session for all homes of a programme, with other requests let in between. */
export async function judgeInSlices(session: Session, against: JudgedAgainst): Promise<SessionJudgement> {
  return judgementFrom(session, await inSlices(against.homes, homeFitter(session, against)), against);
}

/** Judges what somebody is writing and has not kept yet: for a page that is not given all homes. Four queries. */
export async function judgeUnkept(person: Person, id: string, body: { session?: unknown }): Promise<SessionJudgement> {
  requireAuthor(person);
  const checked = checkShape(keptSession, body.session, 'session');
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const session: Session = checked.value;
  await findSession(person, id);
  return judgeInSlices(session, await readAgainst(person, { id, session }));
}
