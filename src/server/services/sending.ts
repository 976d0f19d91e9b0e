import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import { composeGuide } from '../../core/script/guide.ts';
import type { Session, ThingsByKey } from '../../core/script/session.ts';
import { describeAside } from '../../messages/asides.ts';
import { guideWords } from '../../messages/guide.ts';
import { now } from '../clock.ts';
import { GuideCopyRow, GuideLinkRow, MessageRow, SendingRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { readSession } from '../db/repositories/sessions.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { guideToken, hashToken } from '../http/secrets.ts';
import { log } from '../log.ts';
import { mail } from '../post/mail.ts';
import { requireAuthor, type Person } from './person.ts';
import { findStops } from './sendPage.ts';

export interface SendRequest {
  readonly sessionId: string;
  readonly homeIds: readonly string[];
  /** The revision the author saw; a newer one refuses. */
  readonly revision: number;
  /** Where homes reach Footstool. */
  readonly address: string;
}

interface WaitingLetter {
  readonly messageId: string;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/**
 * Sends a session: fixes a copy for each home, gives each home its link (the one it has, or a new one), and posts a
 * message with it. Copies and links are kept together or not at all; messages follow and are marked one by one.
 */
export async function sendSession(
  person: Person,
  request: SendRequest,
): Promise<{ edition: number; homes: number; failed: number }> {
  requireAuthor(person);
  const [things, { books }, homes] = await Promise.all([
    readThings(person.programmeId),
    readShelf(person.programmeId, ['book']),
    readHomes(person.programmeId),
  ]);
  const chosen = homes.filter(({ id }) => request.homeIds.includes(id));
  if (chosen.length !== new Set(request.homeIds).size) {
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'homes', message: 'names a home that is not in this programme' }],
    });
  }
  const { edition, letters } = await tables().transaction(async (transaction) => {
    const kept = await readSession(person.programmeId, request.sessionId, transaction);
    if (!kept) throw new EdgeError('not-found');
    if (kept.revision !== request.revision) throw new EdgeError('conflict', { current: { revision: kept.revision } });
    refuseUnready(kept.session, chosen, { things, person });
    const guideFor = (home: KeptHome) =>
      composeGuide({
        session: kept.session,
        home,
        things,
        programme: person.programme,
        policy: person.settings.cautions,
        books,
      });
    return fixCopies({ person, request, session: kept.session, homes: chosen, guideFor, transaction });
  });
  const failed = await post(letters);
  return { edition, homes: chosen.length, failed };
}

/** A session is sent when the bench has nothing that stops it: both ask the same checks. */
function refuseUnready(
  session: Session,
  homes: readonly KeptHome[],
  { things, person }: { things: ThingsByKey; person: Person },
): void {
  if (session.segments.length === 0)
    throw new EdgeError('wrong-input', { problems: [{ path: 'The session', message: 'has nothing in it yet' }] });
  const problems = findStops(session, homes, { things, person }).map((aside) => {
    const { title, text } = describeAside(aside, things);
    const part = session.segments.find(({ id }) => id === aside.segment)?.title ?? '';
    return { path: `“${part}”`, message: `${title}: ${text}` };
  });
  if (problems.length > 0) throw new EdgeError('wrong-input', { problems });
}

interface FixInput {
  readonly person: Person;
  readonly request: SendRequest;
  readonly session: Session;
  readonly homes: readonly KeptHome[];
  readonly guideFor: (home: KeptHome) => ReturnType<typeof composeGuide>;
  readonly transaction: Transaction;
}

async function fixCopies({
  person,
  request,
  session,
  homes,
  guideFor,
  transaction,
}: FixInput): Promise<{ edition: number; letters: WaitingLetter[] }> {
  const { sessionId, address } = request;
  const { programmeId } = person;
  const sentAt = now();
  const latest = await SendingRow.max<number, SendingRow>('edition', { where: { sessionId }, transaction });
  const edition = (latest ?? 0) + 1;
  const sendingId = randomUUID();
  await SendingRow.create(
    { id: sendingId, sessionId, programmeId, edition, sentAt, sentBy: person.userId, session },
    { transaction },
  );
  const live = await GuideLinkRow.findAll({
    where: { sessionId, revokedAt: null, homeId: { [Op.in]: homes.map(({ id }) => id) } },
    transaction,
  });
  const links = homes.map((home) => ({
    home,
    linkId: live.find(({ homeId }) => homeId === home.id)?.id ?? randomUUID(),
  }));
  await GuideLinkRow.bulkCreate(
    links
      .filter(({ linkId }) => !live.some(({ id }) => id === linkId))
      .map(({ home, linkId }) => ({
        id: linkId,
        programmeId,
        sessionId,
        homeId: home.id,
        tokenHash: hashToken(guideToken(linkId)),
        createdAt: sentAt,
        revokedAt: null,
      })),
    { transaction },
  );
  await GuideCopyRow.bulkCreate(
    links.map(({ home, linkId }) => ({
      linkId,
      sendingId,
      edition,
      guide: guideFor(home),
      language: home.language,
      sentAt,
    })),
    { transaction },
  );
  const letters = links.map(({ home, linkId }) =>
    writeLetter(home, session, person.programme, `${address}/g/${guideToken(linkId)}`),
  );
  await MessageRow.bulkCreate(
    links.map(({ linkId }, index) => ({
      id: letters[index]!.messageId,
      programmeId,
      linkId,
      sendingId,
      recipient: letters[index]!.to,
      subject: letters[index]!.subject,
      state: 'waiting',
      mailId: null,
      sentAt: null,
    })),
    { transaction },
  );
  return { edition, letters };
}

function writeLetter(home: KeptHome, session: Session, programme: string, link: string): WaitingLetter {
  const words = guideWords(home.language);
  return {
    messageId: randomUUID(),
    to: home.contact,
    subject: words.letterSubject(session.title),
    text: words.letter({ home: home.nickname, title: session.title, on: words.date(session.on), programme, link }),
  };
}

/** Posts what waits; a letter that fails is marked and does not hold up the others. Gives how many failed. */
async function post(letters: readonly WaitingLetter[]): Promise<number> {
  const service = mail();
  let failed = 0;
  for (const { messageId, ...letter } of letters) {
    try {
      const mailId = letter.to ? await service.send(letter) : null;
      if (mailId === null) failed += 1;
      await MessageRow.update(
        { state: mailId === null ? 'failed' : 'sent', mailId, sentAt: now() },
        { where: { id: messageId } },
      );
    } catch (error) {
      failed += 1;
      log.warn({ err: error, messageId }, 'a letter could not be posted');
      await MessageRow.update({ state: 'failed' }, { where: { id: messageId } });
    }
  }
  return failed;
}
