import type { GuideLanguage } from '../../core/languages.ts';
import { checkForm } from '../../contracts/problems.ts';
import { readSettings, type ProgrammeSettings } from '../../contracts/programme.ts';
import { wordTap } from '../../contracts/wordTap.ts';
import { addDays, ageInMonths } from '../../core/calendar/index.ts';
import {
  childWords,
  COMMON_WORDS,
  hardLetters,
  MONTHS_FOR_WORDS,
  readWordOrder,
  type WordRead,
  type WordSets,
  wordSheets,
} from '../../core/words/index.ts';
import { today } from '../clock.ts';
import { readHomes } from '../db/repositories/homes.ts';
import { readReadings, readWordsByLink, removeReading, writeReading } from '../db/repositories/wordReadings.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken } from '../http/secrets.ts';
import { requireAuthor, type Person } from './person.ts';

/** Days back that an author may write down what was read. */
const DAYS_BACK = 6;
/** Words that one word sheet holds. */
const WORDS_OF_SHEET = 9;

/** The words of one child on a day. */
export interface ChildWords extends WordSets {
  readonly child: string;
  readonly months: number;
  /** Too young to be asked for words, and nothing was read yet. */
  readonly isEarly: boolean;
  /** What was pressed on the day, by word. */
  readonly pressed: ReadonlyMap<string, boolean>;
  /** Words to put on sheets, those of each sheet together. */
  readonly sheets: readonly (readonly string[])[];
  readonly hard: readonly string[];
}

/** The words of each child of a home on a day within the last week (otherwise today). Four queries. */
export async function readChildWords(
  person: Person,
  homeId: string,
  on?: string | null,
): Promise<{ home: string; on: string; days: string[]; children: ChildWords[] }> {
  const [[home], readings] = await Promise.all([
    readHomes(person.programmeId, { ids: [homeId] }),
    readReadings(homeId),
  ]);
  if (!home) throw new EdgeError('not-found');
  const days = daysBack(person.settings);
  const day = days.find((known) => known === on) ?? today(person.settings);
  const children = home.children.map(({ nickname, birthMonth }) =>
    wordsOf(nickname, {
      settings: person.settings,
      log: readings.get(nickname) ?? [],
      day,
      months: Math.max(0, ageInMonths(birthMonth, today(person.settings))),
    }),
  );
  return { home: home.nickname, on: day, days, children };
}

/** Writes down a press of an author’s. */
export async function tapWord(person: Person, homeId: string, press: Record<string, unknown>): Promise<void> {
  requireAuthor(person);
  const tap = checked(press, person.settings);
  const { on } = tap;
  if (!daysBack(person.settings).includes(on)) throw wrong('on', `must be one of the last ${DAYS_BACK + 1} days`);
  const { children } = await readChildWords(person, homeId, on);
  await keep(homeId, children, tap);
}

/** What a home sees of its children’s words, by its link; null where the link does not open or nobody asks. One query. */
export async function readWordsOfHome(
  token: string,
): Promise<{ homeId: string; language: GuideLanguage; children: ChildWords[]; settings: Person['settings'] } | null> {
  const found = await readWordsByLink(hashToken(token));
  if (!found) return null;
  const settings = readSettings(found.settings);
  if (settings.words.keptBy !== 'homes' || found.children.length === 0) return null;
  const children = found.children
    .map(({ nickname, birthMonth }) =>
      wordsOf(nickname, {
        settings,
        log: found.readings.get(nickname) ?? [],
        day: today(settings),
        months: Math.max(0, ageInMonths(birthMonth, today(settings))),
      }),
    )
    .filter(({ isEarly }) => !isEarly);
  return { homeId: found.homeId, language: found.language, children, settings };
}

/** Writes down a press of a home’s, for today. */
export async function tapWordAtHome(token: string, press: Record<string, unknown>): Promise<void> {
  const found = await readWordsOfHome(token);
  if (!found) throw new EdgeError('not-found');
  await keep(found.homeId, found.children, checked({ ...press, on: today(found.settings) }, found.settings));
}

const daysBack = (settings: Person['settings']) =>
  Array.from({ length: DAYS_BACK + 1 }, (_, back) => addDays(today(settings), -back));

const wrong = (path: string, message: string) => new EdgeError('wrong-input', { problems: [{ path, message }] });

function checked(press: Record<string, unknown>, settings: Person['settings']) {
  const tap = checkForm(wordTap, { on: today(settings), ...press });
  if (!tap.ok) throw new EdgeError('wrong-input', { problems: tap.problem });
  return tap.value;
}

interface ChildInput {
  readonly settings: ProgrammeSettings;
  readonly log: readonly WordRead[];
  readonly day: string;
  readonly months: number;
}

function wordsOf(child: string, { settings, log, day, months }: ChildInput): ChildWords {
  const { order, atOnce, restAfter } = settings.words;
  const own = readWordOrder(order ?? '');
  // What was pressed on the day itself stays in sight until the day is over.
  const known = { order: own.length > 0 ? own : COMMON_WORDS, atOnce, restAfter, today: day };
  const sets = childWords({ ...known, log: log.filter(({ on }) => on < day) });
  const now = childWords({ ...known, log: log.filter(({ on }) => on <= day) });
  return {
    ...sets,
    resting: now.resting,
    child,
    months,
    isEarly: months < MONTHS_FOR_WORDS && log.length === 0,
    hard: hardLetters(log, day),
    pressed: new Map(log.filter(({ on }) => on === day).map(({ word, right }) => [word, right])),
    sheets: wordSheets([...now.active, ...now.due], WORDS_OF_SHEET),
  };
}

/** Only words that the child reads at the time can be pressed. */
async function keep(
  homeId: string,
  children: readonly ChildWords[],
  { child: name, word, read, on }: { child: string; word: string; read: 'yes' | 'no' | 'back'; on: string },
): Promise<void> {
  const child = children.find((known) => known.child === name);
  if (!child) throw wrong('child', 'is no child of this home');
  if (![...child.active, ...child.due].includes(word) && !child.pressed.has(word))
    throw wrong('word', 'is not read by this child at the moment; look at the list again');
  if (read === 'back') await removeReading(homeId, { child: name, on, word });
  else await writeReading(homeId, { child: name, on, word, right: read === 'yes' });
}
