import { randomUUID } from 'node:crypto';
import {
  composeGuide,
  type Guide,
  type GuideChange,
  guideChanges,
  readGuideCopy,
  writeGuideCopy,
} from '../../core/guide/index.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import { guideWords } from '../../messages/guideWords.ts';
import { now } from '../clock.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { findProgramme } from '../db/repositories/programmes.ts';
import {
  findUnwrittenChunks,
  markChunkWritten,
  readChunk,
  type ChunkName,
  type HeldChunk,
} from '../db/repositories/sendingChunks.ts';
import { addCopies, addLinks, readOpenLinks } from '../db/repositories/sendings.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import { enqueue, handBack, jobNamed } from '../db/queue.ts';
import { holdLinkStates } from '../db/repositories/guideLacks.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { guideToken, hashToken } from '../http/secrets.ts';
import { inSlices } from './inSlices.ts';
import { queueLetters } from './letters.ts';
import type { Person } from './person.ts';
import { readOpenDays } from './preparations.ts';
import { questionsBefore, readSafety } from './safety.ts';

/** So many homes have their guides written in one go. */
export const HOMES_A_CHUNK = 100;
/** A letter names so many changes. */
const MOST_CHANGES_NAMED = 6;
/** So many chunks are taken up at once after a crash. */
const MOST_TAKEN_UP = 500;

const USUAL_SECONDS_TO_UNDO = 30;

/** FOOTSTOOL_UNDO_SECONDS: so long letters wait before they leave, from 0 to 600. */
export function secondsToUndo(): number {
  const set = Number(process.env.FOOTSTOOL_UNDO_SECONDS ?? USUAL_SECONDS_TO_UNDO);
  return Number.isFinite(set) ? Math.min(600, Math.max(0, set)) : USUAL_SECONDS_TO_UNDO;
}

/** Who sends, as far as guides and letters tell of it. */
type Sender = Pick<Person, 'programmeId' | 'programme' | 'settings'>;

/** Puts chunks into the queue, a job each. */
export async function queueChunks(chunks: readonly ChunkName[], transaction?: Transaction): Promise<void> {
  const jobs = chunks.map(({ sendingId, position }) => ({
    id: jobNamed('chunk', sendingId, position, transaction ? '' : randomUUID()),
    data: { chunk: `${sendingId}/${position}` },
  }));
  await enqueue('sendings', jobs, { transaction });
}

/** Writes the chunk of a job: its homes' guides and letters. One that is written, or whose sending was taken back, is done. */
export async function writeQueuedChunk(name: string): Promise<void> {
  const [sendingId = '', position = ''] = name.split('/');
  const named = { sendingId, position: Number(position) };
  const waiting = await readChunk(named);
  const programme = waiting && (await findProgramme(waiting.programmeId));
  if (!programme) return;
  const sender = { programmeId: programme.id, programme: programme.name, settings: programme.settings };
  const read = await readForChunk(sender, waiting.homeIds);
  await inTransaction(async (transaction) => {
    const chunk = await readChunk(named, transaction);
    if (chunk) await writeChunk(sender, { chunk, read }, transaction);
  });
}

/** Queues chunks that a crash left without a job. Gives how many are unwritten. */
export async function recoverChunks(): Promise<number> {
  const unwritten = await findUnwrittenChunks(MOST_TAKEN_UP);
  const named = unwritten.map((chunk) => ({ chunk, name: `${chunk.sendingId}/${chunk.position}` }));
  const atWork = await handBack(
    'sendings',
    'chunk',
    named.map(({ name }) => name),
  );
  await queueChunks(named.filter(({ name }) => !atWork.has(name)).map(({ chunk }) => chunk));
  return unwritten.length;
}

/** What guides of some homes are written from. */
export type ChunkReading = Awaited<ReturnType<typeof readForChunk>>;

/** Reads what the guides of some homes are written from: ten queries, however many homes. */
export async function readForChunk(sender: Sender, homeIds: readonly string[]) {
  const { programmeId } = sender;
  const [things, { books }, everybody, asked, openDays] = await Promise.all([
    readThings(programmeId),
    readShelf(programmeId, ['book']),
    readHomes(programmeId, { items: [] }),
    readHomes(programmeId, { ids: homeIds }),
    readOpenDays(sender),
  ]);
  return { things, books, everybody, asked, openDays };
}

/**
 * Fixes a copy for each home of a chunk, gives each its link (the one it has, or a new one), and posts a letter with it into
 * the outbox, all together or not at all. A home where something new would have to be looked at first is left out and counted.
 */
export async function writeChunk(
  sender: Sender,
  { chunk, read }: { chunk: HeldChunk; read: ChunkReading },
  transaction: Transaction,
): Promise<void> {
  const { sessionId, session } = chunk;
  const { programme, settings } = sender;
  const { things, books, everybody, asked, openDays } = read;
  const safety = await readSafety(sender, { id: sessionId, session, homes: everybody }, transaction);
  const isSettledAt = (homes: readonly KeptHome[]) =>
    questionsBefore(session, homes, { things, person: sender, safety }).length === 0;
  const homes = isSettledAt(asked) ? asked : asked.filter((home) => isSettledAt([home]));
  const around = { session, things, programme, policy: settings.cautions, safety, books, openDays, assumeCommon: true };
  const links = await linkHomes(chunk, homes, transaction);
  const states = await holdLinkStates(
    links.map(({ linkId }) => linkId),
    transaction,
  );
  const written = await inSlices(links, ({ home, linkId }): WrittenGuide => {
    const { isWithoutBook = false, lacks = [], guide: stored = null, edition = 0 } = states.get(linkId) ?? {};
    const guide = composeGuide({ ...around, home, isWithoutBook, lacks, ...guideLanguage(home.language) });
    const changes = stored && guideChanges(readGuideCopy(stored), guide);
    // A home whose guide was written again for it meanwhile is at a later edition already.
    return { home, linkId, guide, changes, edition: Math.max(chunk.edition, edition + 1) };
  });
  // Sent again, a guide goes where something in it has changed, and to whoever was named.
  const named = new Set(chunk.audience.also ?? []);
  const going = written.filter(
    ({ home, changes }) => chunk.audience.to !== 'unanswered' || changes?.length !== 0 || named.has(home.id),
  );
  await addCopies(
    going.map(({ home, linkId, guide, edition }) => ({
      linkId,
      sendingId: chunk.sendingId,
      edition,
      sentAt: chunk.sentAt,
      guide: writeGuideCopy(guide),
      language: home.language,
    })),
    transaction,
  );
  await postLetters(chunk, { going, programme, transaction });
  await markChunkWritten(chunk, { writtenAt: now(), leftOut: asked.length - homes.length }, transaction);
}

type HomeLink = { readonly home: KeptHome; readonly linkId: string };

/** A guide as it goes to a home, with what is otherwise than in the one it has; null for a first one. */
interface WrittenGuide extends HomeLink {
  readonly guide: Guide;
  readonly changes: readonly GuideChange[] | null;
  readonly edition: number;
}

/** The link of each home: the one that still opens, or a new one. */
async function linkHomes(
  { sessionId, programmeId, sentAt }: HeldChunk,
  homes: readonly KeptHome[],
  transaction: Transaction,
): Promise<HomeLink[]> {
  const ids = homes.map(({ id }) => id);
  const open = await readOpenLinks(sessionId, ids, transaction);
  const links = homes.map((home) => ({ home, linkId: open.get(home.id) ?? randomUUID() }));
  await addLinks(
    links
      .filter(({ home }) => !open.has(home.id))
      .map(({ home, linkId: id }) => ({
        id,
        programmeId,
        sessionId,
        homeId: home.id,
        createdAt: sentAt,
        tokenHash: hashToken(guideToken(id)),
      })),
    transaction,
  );
  return links;
}

async function postLetters(
  { sendingId, programmeId, session, sentAt, address }: HeldChunk,
  { going, programme, transaction }: { going: readonly WrittenGuide[]; programme: string; transaction: Transaction },
): Promise<void> {
  const { title, on } = session;
  const waited = (now().getTime() - sentAt.getTime()) / 1000;
  await queueLetters(
    going.map(({ home: { nickname, contact, language }, linkId, changes }) => ({
      programmeId,
      linkId,
      sendingId,
      recipient: contact,
      subject: guideWords(language).say(changes?.length ? 'letterAgainSubject' : 'letterSubject', { title }),
      facts: {
        home: nickname,
        title,
        on,
        programme,
        language,
        address,
        ...(changes?.length && { changes: changes.slice(0, MOST_CHANGES_NAMED) }),
      },
    })),
    { transaction, afterSeconds: Math.max(0, secondsToUndo() - waited) },
  );
}
