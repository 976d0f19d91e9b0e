import { randomUUID } from 'node:crypto';
import { fitHomes } from '../../core/homes/sessionReadiness.ts';
import { layTray, type Tray, type TrayFor, type TrayHome, type TrayVersion } from '../../core/print/tray.ts';
import type { Page } from '../../core/page/paper.ts';
import { checkShape } from '../../contracts/problems.ts';
import { trayForm } from '../../contracts/tray.ts';
import { countThing } from '../../messages/fits.ts';
import { now } from '../clock.ts';
import { PrintJobRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { isUuid, readSession } from '../db/repositories/sessions.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { log } from '../log.ts';
import { writePdf } from '../print/pdf.ts';
import { printer } from '../print/printer.ts';
import { requireAuthor, type Person } from './person.ts';

export interface TrayChoice {
  readonly for: TrayFor;
  readonly version: TrayVersion;
  readonly home?: string | undefined;
}

export interface PrintJob {
  readonly id: string;
  readonly title: string;
  readonly state: PrintJobRow['state'];
  readonly pages: number;
  readonly bytes: number;
  readonly at: string;
}

/** How far jobs have come that this process is at work on. */
const underWay = new Map<string, { done: number; total: number }>();

/** The sheets of a session's tray. Five queries. */
export async function readTray(
  person: Person,
  sessionId: string,
  choice: TrayChoice,
): Promise<Tray & { title: string; homes: readonly { id: string; nickname: string }[] }> {
  const [kept, homes, things] = await Promise.all([
    readSession(person.programmeId, sessionId),
    readHomes(person.programmeId),
    readThings(person.programmeId),
  ]);
  if (!kept) throw new EdgeError('not-found');
  const chosen = choice.for === 'home' ? homes.filter(({ id }) => id === choice.home).slice(0, 1) : homes;
  if (choice.for === 'home' && chosen.length === 0)
    throw new EdgeError('wrong-input', { problems: [{ path: 'home', message: 'choose a home of this programme' }] });
  const { fits } = fitHomes(kept.session, chosen, { things, policy: person.settings.cautions });
  const trayHome = (home: KeptHome, index: number): TrayHome => ({
    nickname: home.nickname,
    children: home.children.map(({ nickname }) => nickname),
    kit: fits[index]!.kit.map(({ item, qty }) => countThing(item, qty, things)),
  });
  return {
    title: kept.session.title,
    homes: homes.map(({ id, nickname }) => ({ id, nickname })),
    ...layTray({
      session: kept.session,
      for: choice.for,
      version: choice.version,
      homes: choice.for === 'author' ? [] : chosen.map(trayHome),
      paper: person.settings.paper,
    }),
  };
}

/** Starts printing a session's tray; gives the job, which `readJob` follows. */
export async function startPrinting(person: Person, sessionId: string, written: unknown): Promise<string> {
  requireAuthor(person);
  const checked = checkShape(trayForm, written);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const { pages, title } = await readTray(person, sessionId, checked.value as TrayChoice);
  const id = randomUUID();
  tables();
  underWay.set(id, { done: 0, total: pages.length });
  await PrintJobRow.create({
    id,
    programmeId: person.programmeId,
    sessionId,
    title,
    state: 'waiting',
    pages: 0,
    bytes: 0,
    createdAt: now(),
    createdBy: person.userId,
  }).catch((error: unknown) => {
    underWay.delete(id);
    throw error;
  });
  void runJob(id, title, pages);
  return id;
}

/** A job and how far it has come; not found when it is not this programme's. */
export async function readJob(person: Person, id: string): Promise<PrintJob & { done: number; total: number }> {
  const isUnderWay = underWay.has(id);
  const row = await findJob(person, id);
  const progress = underWay.get(id) ?? { done: row.pages, total: row.pages };
  return { ...toJob(row, isUnderWay), ...progress };
}

/** What the printer was given lately, newest first. One query. */
export async function listJobs(person: Person): Promise<PrintJob[]> {
  tables();
  const atWork = new Set(underWay.keys());
  const rows = await PrintJobRow.findAll({
    where: { programmeId: person.programmeId },
    order: [['createdAt', 'DESC']],
    limit: 40,
  });
  return rows.map((row) => toJob(row, atWork.has(row.id)));
}

/** What came out of a job. */
export async function readPrinted(person: Person, id: string): Promise<Buffer> {
  const row = await findJob(person, id);
  const pdf = row.state === 'done' ? await printer().read(id) : null;
  if (!pdf) throw new EdgeError('not-found');
  return pdf;
}

async function runJob(id: string, title: string, pages: readonly Page[]): Promise<void> {
  try {
    const pdf = await writePdf(pages, { title, onPage: (done, total) => underWay.set(id, { done, total }) });
    await printer().print(id, pdf);
    await PrintJobRow.update({ state: 'done', pages: pages.length, bytes: pdf.length }, { where: { id } });
  } catch (error) {
    log.error({ err: error, job: id }, 'printing failed');
    await PrintJobRow.update({ state: 'failed' }, { where: { id } }).catch(() => undefined);
  } finally {
    underWay.delete(id);
  }
}

async function findJob(person: Person, id: string): Promise<PrintJobRow> {
  tables();
  const row = isUuid(id) ? await PrintJobRow.findOne({ where: { id, programmeId: person.programmeId } }) : null;
  if (!row) throw new EdgeError('not-found');
  return row;
}

/** A job that waits while nobody was at work on it when it was asked for was cut off, as by a restart: it failed. */
function toJob({ id, title, state, pages, bytes, createdAt }: PrintJobRow, isUnderWay: boolean): PrintJob {
  return {
    id,
    title,
    state: state === 'waiting' && !isUnderWay ? 'failed' : state,
    pages,
    bytes,
    at: createdAt.toISOString(),
  };
}
