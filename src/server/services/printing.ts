import {
  addJob,
  changeJob,
  findJob,
  findOldJobs,
  findWaitingJobs,
  readJobs,
  takeWaitingJob,
  type StoredJob,
} from '../db/repositories/printJobs.ts';
import { findProgramme } from '../db/repositories/programmes.ts';
import { inTransaction } from '../db/transaction.ts';
import { composeGuide, type GuideInput } from '../../core/guide/index.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import { authorMakers } from '../../messages/authorMakers.ts';
import { randomUUID } from 'node:crypto';
import { fitHome, itemsServing } from '../../core/homes/index.ts';
import {
  estimatePages,
  layoutPrintSet,
  MOST_PAGES,
  type PrintSet,
  type PrintSetHome,
  type PrintSetInput,
} from '../../core/print/index.ts';
import { checkShape } from '../../contracts/problems.ts';
import { trayForm, type TrayChoice } from '../../contracts/tray.ts';
import { countThing } from '../../messages/fits.ts';
import { guideWords } from '../../messages/guideWords.ts';
import { guideSheet } from '../../messages/guideSheet.ts';
import { now } from '../clock.ts';
import { isDatabaseAway } from '../db/connection.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { readSession } from '../db/repositories/sessions.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { log } from '../log.ts';
import { writePdf } from '../print/pdf.ts';
import { printer } from '../print/printer.ts';
import { enqueue, jobNamed } from '../db/queue.ts';
import { questionsBefore, readSafety } from './safety.ts';
import { inSlices } from './inSlices.ts';
import { requireAuthor, type Person } from './person.ts';
import { readOpenDays } from './preparations.ts';

export type PrintJob = Pick<StoredJob, 'id' | 'title' | 'state' | 'pages' | 'bytes'> & {
  readonly at: string;
  /** Its file was kept for a month and is gone. */
  readonly isRemoved: boolean;
};

type TrayReader = Pick<Person, 'programmeId' | 'programme' | 'settings'>;

/** How long what came out of the printer is kept. */
const DAYS_KEPT = 30;
const MS_PER_DAY = 86_400_000;
/** A page lists so many jobs. */
const MOST_LISTED = 40;
/** How far a job has come is written down no more often than this. */
const MS_BETWEEN_WORDS = 300;

/** The sheets of a session's tray. Eight queries. */
export async function readTray(
  person: TrayReader,
  sessionId: string,
  choice: TrayChoice,
  { mostHomes = Infinity } = {},
): Promise<ReadPrintSet> {
  const [kept, things, { books }, openDays] = await Promise.all([
    readSession(person.programmeId, sessionId),
    readThings(person.programmeId),
    readShelf(person.programmeId, ['book']),
    readOpenDays(person),
  ]);
  if (!kept) throw new EdgeError('not-found');
  const homes = await readHomes(person.programmeId, { items: itemsServing(kept.session, things) });
  const chosen = chosenHomes(choice, homes);
  const policy = person.settings.cautions;
  const safety = await readSafety(person, { id: sessionId, session: kept.session, homes });
  // A guide on paper is a guide that leaves: not before somebody has looked at what it calls for.
  const goingTo = choice.for === 'author' ? [] : chosen;
  const unseen = questionsBefore(kept.session, goingTo, { things, person, safety }).length;
  const { session } = kept;
  const around = { session, things, programme: person.programme, policy, safety, books, openDays, assumeCommon: true };
  const trayHome = (home: KeptHome) => asTrayHome(home, { around, isSeen: unseen === 0 });
  const laidFor = choice.for === 'author' ? [] : chosen.slice(0, mostHomes);
  const inputFor = (trayHomes: readonly PrintSetHome[]): PrintSetInput => ({
    session: kept.session,
    for: choice.for,
    version: choice.version,
    homes: trayHomes,
    paper: person.settings.paper,
    makers: authorMakers,
  });
  // One home tells how many pages all will take, before anything is laid out for them.
  const forNone = estimatePages(inputFor([]));
  const forOne = estimatePages(inputFor(laidFor.slice(0, 1).map(trayHome)));
  const estimate = choice.for === 'author' ? forOne : forNone + (forOne - forNone) * chosen.length;
  refuseTooLong(estimate);
  return {
    title: kept.session.title,
    homes: homes.map(({ id, nickname }) => ({ id, nickname })),
    language: choice.for === 'home' ? chosen[0]!.language : 'en',
    left: chosen.length - laidFor.length,
    estimate,
    unseen,
    ...layoutPrintSet(inputFor(await inSlices(laidFor, trayHome))),
  };
}

/** A home as its sheets are laid out: its kit, and its guide where that prints from here and somebody has looked. */
function asTrayHome(
  home: KeptHome,
  { around, isSeen }: { around: Omit<GuideInput, 'home' | 'speech' | 'authorLanguage'>; isSeen: boolean },
): PrintSetHome {
  const { session, things } = around;
  const words = guideWords(home.language);
  const isPrintedHere = isSeen && words.direction !== 'rtl';
  return {
    nickname: home.nickname,
    children: home.children.map(({ nickname }) => nickname),
    kit: fitHome(session, home, around).kit.map(({ item, qty }) => countThing(item, qty, things)),
    guide: isPrintedHere ? guideSheet(composeGuide({ ...around, home, ...guideLanguage(home.language) }), words) : null,
  };
}

function chosenHomes(choice: TrayChoice, homes: readonly KeptHome[]): readonly KeptHome[] {
  if (choice.for !== 'home') return homes;
  const chosen = homes.find(({ id }) => id === choice.home);
  if (chosen) return [chosen];
  throw new EdgeError('wrong-input', { problems: [{ path: 'home', message: 'choose a home of this programme' }] });
}

/** A tray has so many pages at most. */
function refuseTooLong(estimate: number): void {
  if (estimate > MOST_PAGES)
    throw new EdgeError('wrong-input', {
      problems: [
        { path: 'The tray', message: `would have about ${estimate} pages; choose one home, or fewer parts to print` },
      ],
    });
}

/** Sheets of a tray, with the homes one may choose from. */
export interface ReadPrintSet extends PrintSet {
  readonly title: string;
  readonly homes: readonly { id: string; nickname: string }[];
  /** The language of what a home reads; a tray for several is the author's. */
  readonly language: KeptHome['language'];
  /** What somebody has to look at before guides are printed. */
  readonly unseen: number;
  /** Homes that are not laid out here. */
  readonly left: number;
  /** About how many pages there will be for all of them. */
  readonly estimate: number;
}

/** A page shows the sheets of so many homes; the printer lays them out for all. */
export const MOST_HOMES_SHOWN = 24;

/** Puts a session's tray into the printer's queue; gives the job, which `readJob` follows. */
export async function startPrinting(person: Person, sessionId: string, written: unknown): Promise<string> {
  requireAuthor(person);
  const checked = checkShape(trayForm, written);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const choice = checked.value as TrayChoice;
  const { estimate, title } = await readTray(person, sessionId, choice, { mostHomes: 1 });
  const id = randomUUID();
  await inTransaction(async (transaction) => {
    const job = { id, programmeId: person.programmeId, sessionId, title, choice, total: estimate, createdAt: now() };
    await addJob({ ...job, createdBy: person.userId }, transaction);
    await enqueue('prints', [{ id, data: { job: id } }], { transaction });
  });
  return id;
}

/** A job and how far it has come; not found when it is not this programme's. */
export async function readJob(person: Person, id: string): Promise<PrintJob & { done: number; total: number }> {
  const row = await jobOf(person, id);
  return { ...toJob(row), done: row.done, total: row.total };
}

/** What the printer was given lately, newest first. One query. */
export async function listJobs(person: Person): Promise<PrintJob[]> {
  return (await readJobs(person.programmeId, MOST_LISTED)).map(toJob);
}

/** What came out of a job. */
export async function readPrinted(person: Person, id: string): Promise<Buffer> {
  const row = await jobOf(person, id);
  const pdf = row.state === 'done' && !row.removedAt ? await printer().read(id) : null;
  if (!pdf) throw new EdgeError('not-found');
  return pdf;
}

/** Whoever prints says so this often; after so much longer nobody does any more. */
const MS_BETWEEN_SIGNS = 10_000;
const MS_WITHOUT_SIGN = 60_000;

const lastSign = () => new Date(now().getTime() - MS_WITHOUT_SIGN);

/**
 * Prints a job that waits: lays its tray out, writes the file and hands it to the printer. A job that somebody else is at
 * work on, however long, is left to them.
 */
export async function printJob(id: string): Promise<void> {
  const row = await takeWaitingJob(id, { at: now(), since: lastSign() });
  const programme = row && (await findProgramme(row.programmeId));
  if (!row || !programme) return;
  const signs = setInterval(() => void changeJob(id, { workedAt: now() }).catch(() => undefined), MS_BETWEEN_SIGNS);
  try {
    if (!row.sessionId || !row.choice) throw new EdgeError('not-found');
    const reader = { programmeId: programme.id, programme: programme.name, settings: programme.settings };
    const { pages, title, language } = await readTray(reader, row.sessionId, row.choice);
    const pdf = await writePdf(pages, { title, language, onPage: sayingHowFar(id) });
    await printer().print(id, pdf);
    const count = pages.length;
    await changeJob(id, { state: 'done', pages: count, bytes: pdf.length, done: count, total: count });
  } catch (error) {
    if (isDatabaseAway(error)) throw error;
    log.error({ err: error, job: id }, 'printing failed');
    await changeJob(id, { state: 'failed' });
  } finally {
    clearInterval(signs);
  }
}

function sayingHowFar(id: string): (done: number, total: number) => void {
  let lastAt = 0;
  return (done, total) => {
    if (Date.now() - lastAt < MS_BETWEEN_WORDS) return;
    lastAt = Date.now();
    void changeJob(id, { done, total }).catch(() => undefined);
  };
}

/** Queues again what a crash cut off, each time once. Gives how many. */
export async function recoverPrints(): Promise<number> {
  const waiting = await findWaitingJobs(lastSign());
  await enqueue(
    'prints',
    waiting.map(({ id, workedAt }) => ({ id: jobNamed('print', id, workedAt?.getTime() ?? 0), data: { job: id } })),
  );
  return waiting.length;
}

/** Deletes files that have been kept long enough; the list goes on saying that they came out. Gives how many. */
export async function removeOldPrints(): Promise<number> {
  const old = await findOldJobs(new Date(now().getTime() - DAYS_KEPT * MS_PER_DAY));
  for (const id of old) {
    await printer().remove(id);
    await changeJob(id, { removedAt: now() });
  }
  return old.length;
}

async function jobOf(person: Person, id: string): Promise<StoredJob> {
  const job = await findJob(person.programmeId, id);
  if (!job) throw new EdgeError('not-found');
  return job;
}

function toJob({ id, title, state, pages, bytes, createdAt, removedAt }: StoredJob): PrintJob {
  return { id, title, state, pages, bytes, at: createdAt.toISOString(), isRemoved: removedAt !== null };
}
