import type { Addable, BenchProps } from '../../contracts/bench.ts';
import { type JudgedAgainst, judgeSession } from '../../core/checks/index.ts';
import { readDecisions } from '../db/repositories/decisions.ts';
import { readHomes } from '../db/repositories/homes.ts';
import { countWithoutBook } from '../db/repositories/sessions.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import type { Segment } from '../../core/session/index.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';
import { taughtAround } from '../../core/terms/index.ts';
import { listRecorded } from './soundRecordings.ts';
import { listTerms } from './terms.ts';
import { findSession, segmentFor } from './sessions.ts';

/** Everything the bench works with: the session, the things, the homes. Nine queries, however much there is. */
export async function readBench(person: Person, id: string): Promise<BenchProps> {
  const [kept, things, homes, withoutBook, terms, recorded, decisions] = await Promise.all([
    findSession(person, id),
    readThings(person.programmeId),
    readHomes(person.programmeId),
    countWithoutBook(person.programmeId, id),
    listTerms(person),
    listRecorded(person),
    readDecisions(person.programmeId, id),
  ]);
  const against: JudgedAgainst = {
    things,
    policy: person.settings.cautions,
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
    seatedMinutesPerYear: person.settings.seatedMinutesPerYear,
  };
  return {
    ...against,
    id: kept.id,
    revision: kept.revision,
    keptAt: kept.keptAt,
    session: kept.session,
    judgement: judgeSession(kept.session, against),
    withoutBook,
    mayWrite: person.role !== 'reader',
    recorded,
    accent: person.settings.numbers.accent ?? 'gb',
    soundSteps: taughtAround(
      terms.map(({ term }) => term),
      kept.session.on,
      person.settings.weekend,
    ),
  };
}

/** What can be put into a session from the shelf, each ready as a segment. One query. */
export async function listAddables(person: Person): Promise<Addable[]> {
  const shelf = await readShelf(person.programmeId, ['activity', 'song', 'book']);
  const addable = (kind: Addable['kind'], key: string, title: string, about: string): Addable => ({
    kind,
    title,
    about,
    segment: { ...segmentFor({ kind, key }, shelf, person)!, id: `shelf-${kind}-${key}` },
  });
  return [
    ...shelf.activities.map(({ key, title, idea }) => addable('activity', key, title, idea)),
    ...shelf.songs.map(({ key, title, tune }) => addable('song', key, title, `to the tune of “${tune}”`)),
    ...shelf.books.map(({ key, title, summary }) => addable('book', key, title, summary)),
  ];
}

/** An entry of the shelf as a part of a session. One query. */
export async function partFromShelf(person: Person, kind: string, key: string): Promise<Segment> {
  const known = (['activity', 'song', 'book'] as const).find((entry) => entry === kind);
  const shelf = known && (await readShelf(person.programmeId, [known]));
  const segment = known && shelf && segmentFor({ kind: known, key }, shelf, person);
  if (!segment) throw new EdgeError('not-found');
  return segment;
}
