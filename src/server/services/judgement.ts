import { homeFitter, type JudgedAgainst, judgementFrom, type SessionJudgement } from '../../core/checks/index.ts';
import { itemsServing } from '../../core/homes/index.ts';
import { knownWords } from '../../core/makers/index.ts';
import { taughtAround } from '../../core/terms/index.ts';
import type { Session } from '../../core/session/index.ts';
import { keptSession } from '../../contracts/script.ts';
import { checkShape } from '../../contracts/problems.ts';
import { readDecisions } from '../db/repositories/decisions.ts';
import { readHomes } from '../db/repositories/homes.ts';
import { readAround } from '../db/repositories/sessions.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { inSlices } from './inSlices.ts';
import { requireAuthor, type Person } from './person.ts';
import { findSession } from './sessions.ts';
import { listTerms } from './terms.ts';

type TermOf = Awaited<ReturnType<typeof listTerms>>[number];

/** What was played so many days before a session is looked at. */
const DAYS_BEFORE = 14;

/** What a session is judged against, with the homes it is judged for. Four queries, however many homes. */
export async function readAgainst(
  { programmeId, settings }: Pick<Person, 'programmeId' | 'settings'>,
  {
    id,
    session,
    wholeHomes = false,
    terms = [],
  }: {
    id: string;
    session: Session;
    /** Whether homes come with all they have, and not only with what the session could use. */
    wholeHomes?: boolean;
    /** The terms of the programme, by which it is known what is taught when. */
    terms?: readonly TermOf[];
  },
): Promise<JudgedAgainst> {
  const [things, decisions, around] = await Promise.all([
    readThings(programmeId),
    readDecisions(programmeId, id),
    readAround(programmeId, session, DAYS_BEFORE),
  ]);
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
    around: {
      ...around,
      accent: settings.numbers.accent,
      taught: taughtAround(
        terms.map(({ term }) => term),
        session.on,
        settings.weekend,
      ),
    },
  };
}

/** Judges a session for all homes of a programme, with other requests let in between. */
export async function judgeInSlices(session: Session, against: JudgedAgainst): Promise<SessionJudgement> {
  const fits = await inSlices(against.homes, homeFitter(session, against));
  return judgementFrom(session, fits, {
    ...against,
    around: { ...against.around, ...knownWords(against.around ?? {}) },
  });
}

/** Judges what somebody is writing and has not kept yet: for a page that is not given all homes. Six queries. */
export async function judgeUnkept(person: Person, id: string, body: { session?: unknown }): Promise<SessionJudgement> {
  requireAuthor(person);
  const checked = checkShape(keptSession, body.session, 'session');
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const session: Session = checked.value;
  await findSession(person, id);
  return judgeInSlices(session, await readAgainst(person, { id, session, terms: await listTerms(person) }));
}
