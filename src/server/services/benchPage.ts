import type { Addable, BenchProps } from '../../contracts/bench.ts';
import { countHomes } from '../db/repositories/homes.ts';
import { judgeInSlices, readAgainst } from './judgement.ts';
import { countWithoutBook } from '../db/repositories/sessions.ts';
import { readLatestSending } from '../db/repositories/sendings.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import { momentInWords } from '../../messages/dates.ts';
import { timeZone } from '../clock.ts';
import type { Segment } from '../../core/session/index.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';
import { listRecorded } from './soundRecordings.ts';
import { listTerms } from './terms.ts';
import { findSession, segmentFor } from './sessions.ts';

/** So many homes go to the page with all they have; of more of them it gets counts and the first. */
const MOST_IN_PAGE = 60;

/** Everything the bench works with: the session, the things, the homes. Twelve queries, however much there is. */
export async function readBench(person: Person, id: string): Promise<BenchProps> {
  const [kept, homeCount, withoutBook, terms, recorded, latest] = await Promise.all([
    findSession(person, id),
    countHomes(person.programmeId),
    countWithoutBook(person.programmeId, id),
    listTerms(person),
    listRecorded(person),
    readLatestSending(id),
  ]);
  const isJudgedElsewhere = homeCount > MOST_IN_PAGE;
  const against = await readAgainst(person, { id, session: kept.session, wholeHomes: !isJudgedElsewhere, terms });
  return {
    ...against,
    homes: isJudgedElsewhere ? [] : against.homes,
    isJudgedElsewhere,
    id: kept.id,
    revision: kept.revision,
    keptAt: kept.keptAt,
    sentAt: latest ? momentInWords(latest.sentAt.toISOString(), timeZone(person.settings)) : undefined,
    session: kept.session,
    judgement: await judgeInSlices(kept.session, against),
    withoutBook,
    mayWrite: person.role !== 'reader',
    person: person.userId,
    personName: person.name,
    recorded,
    accent: person.settings.numbers.accent ?? 'gb',
    soundSteps: against.around?.taught ?? [],
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
