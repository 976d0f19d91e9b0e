import { inTransaction, type Transaction } from '../db/transaction.ts';
import { randomUUID } from 'node:crypto';
import { agesFromYears, type Segment } from '../../core/session/index.ts';
import { checkTerm, frameTerm, type School, sessionDate, type Term, weekRows } from '../../core/terms/index.ts';
import { checkForm, checkShape } from '../../contracts/problems.ts';
import { isRevision, NO_REVISION } from '../../contracts/revision.ts';
import { frameForm, keptTerm } from '../../contracts/term.ts';
import { firstSteps } from '../../messages/steps.ts';
import { describeTermProblem } from '../../messages/term.ts';
import { addSession, moveSessions, readSession } from '../db/repositories/sessions.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import { addTerm, readTerm, readTerms, replaceTerm, type KeptTerm } from '../db/repositories/terms.ts';
import { isSameValue } from '../db/sameValue.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { frameSegments, segmentFor } from './sessions.ts';
import { takeThingsOf } from './starter.ts';

/** A programme's terms, the latest first. */
export function listTerms(person: Person): Promise<KeptTerm[]> {
  return readTerms(person.programmeId);
}

/** Frames a term from a form; gives its id. */
export async function frameNewTerm(person: Person, fields: Record<string, unknown>): Promise<string> {
  requireAuthor(person);
  const checked = checkForm(frameForm, fields);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const form = checked.value;
  const framed = frameTerm(
    {
      ...form,
      school: form.school as School,
      steps: firstSteps(form.school as School, person.settings.numbers.soundOrder),
      themes: form.themes.split(/\r?\n/).map(asTheme).filter(Boolean),
    },
    randomUUID,
  );
  if (!framed.ok)
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'endsOn', message: describeTermProblem(framed.problem) }],
    });
  return addTerm(person.programmeId, framed.value, person.userId);
}

/** Keeps what the term room sends, if it was made from the newest revision; sessions on the bench move along. */
export async function keepTerm(
  person: Person,
  id: string,
  body: { revision?: unknown; term?: unknown },
): Promise<{ revision: number; keptAt: string }> {
  requireAuthor(person);
  const checked = checkShape(keptTerm, body.term, 'term');
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const { revision } = body;
  if (!isRevision(revision)) throw new EdgeError('wrong-input', { problems: [NO_REVISION] });
  const term: Term = checked.value;
  const [problem] = checkTerm(term);
  if (problem)
    throw new EdgeError('wrong-input', { problems: [{ path: 'term', message: describeTermProblem(problem) }] });
  const kept = await inTransaction(async (transaction) => {
    const before = await readTerm(person.programmeId, id, transaction);
    const answer = await replaceTerm(
      person.programmeId,
      { id, revision, term },
      { userId: person.userId, transaction },
    );
    if (answer && before) await moveBenchSessions(person, { from: before.term, to: term }, transaction);
    return answer;
  });
  if (kept) return kept;
  const current = await findTerm(person, id);
  // Ours arrived, and only the answer was lost.
  if (current.revision === revision + 1 && isSameValue(current.term, term)) return current;
  throw new EdgeError('conflict', { current: { ...current, keptBy: '' } });
}

/** Puts a planned session on the bench, with its book, song and activities; gives the bench's id. */
export async function putPlannedOnBench(
  person: Person,
  { termId, slotId }: { termId: string; slotId: string },
): Promise<string> {
  requireAuthor(person);
  const [{ term, revision }, shelf] = await Promise.all([findTerm(person, termId), readShelf(person.programmeId)]);
  const { rows } = weekRows(term, person.settings.weekend);
  const planned = rows
    .flatMap((row) => row.sessions.map((entry) => ({ ...entry, row })))
    .find(({ session }) => session.id === slotId);
  if (!planned) throw new EdgeError('not-found');
  const { session, on, row } = planned;
  if (session.benchId && (await readSession(person.programmeId, session.benchId))) return session.benchId;
  const wanted: ['book' | 'song' | 'activity', string | null][] = [
    ['book', session.book],
    ...session.activities.map(({ key }): ['activity', string] => ['activity', key]),
    ['song', session.song],
  ];
  const middle = wanted.flatMap(([kind, key]): Segment[] => {
    const segment = key ? segmentFor({ kind, key }, shelf, person) : null;
    return segment ? [segment] : [];
  });
  const book = shelf.books.find(({ key }) => key === session.book);
  const aims = session.activities.flatMap(
    ({ key }) => shelf.activities.find((activity) => activity.key === key)?.aim ?? [],
  );
  await takeThingsOf(person.programmeId, middle);
  return inTransaction(async (transaction) => {
    const benchId = await addSession(
      person.programmeId,
      {
        title: book?.title ?? (row.week.theme ? themeTitle(row.week.theme) : 'A new session'),
        on,
        at: session.time,
        ages: agesFromYears(3, 5),
        aim: aims[0] ?? '',
        segments: frameSegments(middle),
        accepted: [],
        minutes: session.minutes,
      },
      person.userId,
      transaction,
    );
    const linked = {
      ...term,
      weeks: term.weeks.map((week) => ({
        ...week,
        sessions: week.sessions.map((other) => (other.id === slotId ? { ...other, benchId } : other)),
      })),
    };
    const kept = await replaceTerm(
      person.programmeId,
      { id: termId, revision, term: linked },
      { userId: person.userId, transaction },
    );
    if (!kept) throw new EdgeError('conflict');
    return benchId;
  });
}

export async function findTerm(person: Person, id: string): Promise<KeptTerm> {
  const kept = await readTerm(person.programmeId, id);
  if (!kept) throw new EdgeError('not-found');
  return kept;
}

/**
 * Sessions that were moved in the term take the day and time of their new place, and count as changed, so that one
 * that has been sent asks to be sent again. Where the place stayed, what an author set on the bench stays. One query.
 */
async function moveBenchSessions(
  person: Person,
  { from, to }: { from: Term; to: Term },
  transaction: Transaction,
): Promise<void> {
  const former = new Map(benchPlaces(from).map(({ id, on, at }) => [id, `${on} ${at}`]));
  const places = benchPlaces(to).filter(({ id, on, at }) => former.has(id) && former.get(id) !== `${on} ${at}`);
  if (places.length === 0) return;
  await moveSessions(person.programmeId, places, { userId: person.userId, transaction });
}

/** Where the sessions on the bench stand in a term. */
function benchPlaces({ weeks }: Term): { id: string; on: string; at: string }[] {
  return weeks.flatMap((week) =>
    week.sessions.flatMap((session) =>
      session.benchId ? [{ id: session.benchId, on: sessionDate(week, session), at: session.time }] : [],
    ),
  );
}

/** A theme as it is typed, as the key that activities name it by. */
function asTheme(words: string): string {
  return words
    .trim()
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, '-')
    .slice(0, 80)
    .replace(/^-+|-+$/g, '');
}

function themeTitle(theme: string): string {
  const words = theme.replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}
