import type { Findable } from '../../core/search/index.ts';
import { dialsOf } from '../../core/makers/index.ts';
import { MAKERS } from '../../makers/index.ts';
import { shortDay } from '../../messages/dates.ts';
import { dialLabel, makerAbout, makerTitle } from '../../messages/makers.ts';
import { skillWords } from '../../messages/skills.ts';
import { readFindable } from '../db/repositories/findables.ts';
import { readShelf, type Shelf } from '../db/repositories/shelf.ts';
import { ROUTES } from '../http/roles.ts';
import type { Person } from './person.ts';

/** So many homes, sessions and lines can be found; of more, those nearest to today. */
const MOST_HOMES = 500;
const MOST_SESSIONS = 300;
const MOST_LINES = 1200;

/** The rooms and what else has an address of its own. */
const PAGES: readonly (readonly [string, string, string])[] = [
  ['/', 'Today', 'what is due, what came back'],
  ['/term', 'Term', 'the weeks and what they hold'],
  ['/term/new', 'A new term', 'weeks, themes, days that are closed'],
  ['/shelf', 'Shelf', 'books, songs, activities and things'],
  ['/shelf/starter', 'Our collection', 'activities, songs and things to take over'],
  ['/shelf/import', 'Bring a file in', 'import a file to the shelf'],
  ['/shelf/have', 'What homes have', 'tick what families have at home'],
  ['/shelf/new/activity', 'A new activity', 'write one for the shelf'],
  ['/shelf/new/book', 'A new book', 'put one on the shelf'],
  ['/shelf/new/song', 'A new song', 'put one on the shelf'],
  ['/shelf/new/thing', 'A new thing', 'put one on the shelf'],
  ['/sessions', 'Sessions', 'all of them by day'],
  ['/sessions/new', 'A new session', 'begin to write one'],
  ['/makers', 'Sheets and sums', 'all makers'],
  ['/makers/ladder', 'The ladder of skills', 'what comes before what'],
  ['/makers/words-to-a-tune', 'Words to a tune', 'write a verse and see whether it fits'],
  ['/homes', 'Homes', 'families, children, what they have'],
  ['/homes/table', 'Paste your list of families', 'bring homes in from a table'],
  ['/sent', 'Sent', 'what went out and what came back'],
  ['/printer', 'Printer', 'what is being printed'],
  ['/programme', 'How this programme works', 'settings, numbers, words, paper, time zone'],
  ['/programme/people', 'People', 'colleagues, who may do what, invitations'],
  ['/programme/cautions', 'Cautions', 'rules, stricter and hidden ones, your own'],
  ['/programme/sounds', 'Our own voice', 'record the sounds of letters'],
  ['/account', 'Your account', 'name, password, sign out everywhere'],
  ['/help', 'How it works', 'help on one page'],
];

/** Everything that somebody may find by words. Two queries; what is many is bounded. */
export async function listFindables(person: Person): Promise<Findable[]> {
  const [shelf, own] = await Promise.all([
    readShelf(person.programmeId),
    readFindable(person.programmeId, { homes: MOST_HOMES, sessions: MOST_SESSIONS, lines: MOST_LINES }),
  ]);
  return [...ownFindables(own, person), ...shelfFindables(shelf), ...makerFindables(), ...pageFindables(person)];
}

function ownFindables(
  { sessions, homes, lines }: Awaited<ReturnType<typeof readFindable>>,
  { role }: Person,
): Findable[] {
  return [
    ...sessions.map(({ id, title, on, aim }): Findable => {
      return { kind: 'session', key: id, title, about: shortDay(on), words: aim, href: `/sessions/${id}` };
    }),
    ...homes.map(({ id, nickname, children }): Findable => {
      const href = role === 'reader' ? '/homes' : `/homes/${id}`;
      return { kind: 'home', key: id, title: nickname, about: children.join(', '), href };
    }),
    ...lines.map(({ session, line, text, title }): Findable => {
      const key = `${session}/${line}`;
      return { kind: 'line', key, title: text, about: `a line of “${title}”`, href: `/sessions/${session}` };
    }),
  ];
}

const spaced = (keys: readonly string[]) => keys.join(' ').replaceAll('-', ' ');

function shelfFindables({ activities, books, songs, things }: Shelf): Findable[] {
  return [
    ...activities.map(({ key, title, idea, skills, themes }): Findable => {
      const words = `${spaced(themes)} ${skills.map(skillWords).join(', ')}`;
      return { kind: 'activity', key, title, about: idea, words, href: `/shelf/activity/${key}` };
    }),
    ...books.map(({ key, title, summary, themes }): Findable => {
      return { kind: 'book', key, title, about: summary, words: spaced(themes), href: `/shelf/book/${key}` };
    }),
    ...songs.map(({ key, title, tune, verses, themes }): Findable => {
      const words = `${spaced(themes)} ${verses.flat().join(' ')}`;
      return { kind: 'song', key, title, about: `to the tune of “${tune}”`, words, href: `/shelf/song/${key}` };
    }),
    ...things.map(({ key, one, many }): Findable => {
      return { kind: 'thing', key, title: many, about: 'a thing', words: one, href: `/shelf/thing/${key}` };
    }),
  ];
}

function makerFindables(): Findable[] {
  return MAKERS.map((maker) => ({
    kind: 'maker',
    key: maker.id,
    title: makerTitle(maker.id),
    about: makerAbout(maker.id),
    words: [...maker.skills.map(skillWords), ...maker.dials.map(({ name }) => dialLabel(maker.id, name))].join(' '),
    href: `/makers/${maker.id}`,
    numbers: dialsOf(maker).flatMap((dial) =>
      dial.kind === 'number' ? [{ dial: dial.name, min: dial.min, max: dial.max }] : [],
    ),
  }));
}

function pageFindables({ role }: Person): Findable[] {
  const rank = (who: string) => ['reader', 'author', 'owner'].indexOf(who);
  const open = PAGES.filter(([href]) => {
    const route = ROUTES[href] ?? ROUTES[href.replace(/[^/]+$/, '[kind]')];
    return route !== undefined && rank(role) >= rank(route.see);
  });
  return open.map(([href, title, about]) => ({ kind: 'page', key: href, title, about, href }));
}
