import { composeGuide } from '../../core/guide/composeGuide.ts';
import { guideLanguage } from '../../messages/guideSpeech.ts';
import type { ThingsByKey } from '../../core/materials/thing.ts';
import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import type { HomeFit } from '../../core/homes/sessionReadiness.ts';
import type { Session } from '../../core/session/session.ts';
import { describeFinding } from '../../messages/findings.ts';
import { guideWords } from '../../messages/guide.ts';
import { now } from '../clock.ts';
import { GuideCopyRow, GuideLinkRow, MessageRow, SendingRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { readSession } from '../db/repositories/sessions.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { guideToken, hashToken } from '../http/secrets.ts';
import { queueLetters, type GuideLetterFacts } from './letters.ts';
import { requireAuthor, type Person } from './person.ts';
import { findStops, fitInSlices } from './sendPage.ts';
import { inSlices } from './inSlices.ts';

export interface SendRequest {
  readonly sessionId: string;
  readonly homeIds: readonly string[];
  /** The revision the author saw; a newer one refuses. */
  readonly revision: number;
  /** Where homes reach Footstool. */
  readonly address: string;
  /** One press of Send; the same press again is the same sending. */
  readonly key?: string;
  /** The newest edition that the author saw; another one meanwhile refuses. */
  readonly seen?: number;
}

export interface Sent {
  readonly edition: number;
  readonly homes: number;
}

/**
 * Sends a session: fixes a copy for each home, gives each home its link (the one it has, or a new one), and posts a
 * letter with it into the outbox, all together or not at all. The queue posts the letters. A press that arrives again
 * sends nothing more.
 */
export async function sendSession(person: Person, request: SendRequest): Promise<Sent> {
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
  return tables().transaction(async (transaction) => {
    const kept = await readSession(person.programmeId, request.sessionId, transaction);
    if (!kept) throw new EdgeError('not-found');
    const { latest, again } = await sentBefore(request, transaction);
    if (again) return again;
    if (kept.revision !== request.revision) throw new EdgeError('conflict', { current: { revision: kept.revision } });
    const fits = await fitInSlices(kept.session, chosen, { things, policy: person.settings.cautions });
    refuseUnready(kept.session, fits, { things, person });
    const guideFor = (home: KeptHome) =>
      composeGuide({
        session: kept.session,
        home,
        things,
        programme: person.programme,
        policy: person.settings.cautions,
        books,
        ...guideLanguage(home.language),
      });
    return fixCopies({
      person,
      request,
      session: kept.session,
      homes: chosen,
      edition: latest + 1,
      guideFor,
      transaction,
    });
  });
}

/** What the same press has sent already; a sending of somebody else's meanwhile refuses. */
async function sentBefore(
  { sessionId, key, seen }: SendRequest,
  transaction: Transaction,
): Promise<{ latest: number; again: Sent | null }> {
  const latest = await SendingRow.findOne({ where: { sessionId }, order: [['edition', 'DESC']], transaction });
  const same = key ? await SendingRow.findOne({ where: { sessionId, sendKey: key }, transaction }) : null;
  if (same) {
    const homes = await GuideCopyRow.count({ where: { sendingId: same.id }, transaction });
    return { latest: latest!.edition, again: { edition: same.edition, homes } };
  }
  if (seen !== undefined && seen !== (latest?.edition ?? 0))
    throw new EdgeError('conflict', { current: { edition: latest?.edition } });
  return { latest: latest?.edition ?? 0, again: null };
}

/** A session is sent when the bench has nothing that stops it: both ask the same checks. */
function refuseUnready(
  session: Session,
  fits: readonly HomeFit[],
  { things, person }: { things: ThingsByKey; person: Person },
): void {
  if (session.segments.length === 0)
    throw new EdgeError('wrong-input', { problems: [{ path: 'The session', message: 'has nothing in it yet' }] });
  const problems = findStops(session, fits, { things, person }).map((finding) => {
    const { title, text } = describeFinding(finding, things);
    const part = session.segments.find(({ id }) => id === finding.segment)?.title ?? '';
    return { path: `“${part}”`, message: `${title}: ${text}` };
  });
  if (problems.length > 0) throw new EdgeError('wrong-input', { problems });
}

interface FixInput {
  readonly person: Person;
  readonly request: SendRequest;
  readonly session: Session;
  readonly homes: readonly KeptHome[];
  readonly edition: number;
  readonly guideFor: (home: KeptHome) => ReturnType<typeof composeGuide>;
  readonly transaction: Transaction;
}

async function fixCopies({ person, request, session, homes, edition, guideFor, transaction }: FixInput): Promise<Sent> {
  const { sessionId, address } = request;
  const { programmeId } = person;
  const sentAt = now();
  const sendingId = randomUUID();
  await SendingRow.create(
    {
      id: sendingId,
      sessionId,
      programmeId,
      edition,
      sentAt,
      sentBy: person.userId,
      session,
      sendKey: request.key ?? null,
      address,
    },
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
  const guides = await inSlices(links, ({ home }) => guideFor(home));
  await GuideCopyRow.bulkCreate(
    links.map(({ home, linkId }, index) => ({
      linkId,
      sendingId,
      edition,
      guide: guides[index]!,
      language: home.language,
      sentAt,
    })),
    { transaction },
  );
  const messages = links.map(({ home, linkId }) => ({
    id: randomUUID(),
    programmeId,
    linkId,
    sendingId,
    recipient: home.contact,
    subject: guideWords(home.language).letterSubject(session.title),
    state: 'waiting',
    facts: letterFacts(home, session, { programme: person.programme, address }),
  }));
  await MessageRow.bulkCreate(messages, { transaction });
  await queueLetters(
    messages.map(({ id }) => id),
    transaction,
  );
  return { edition, homes: homes.length };
}

function letterFacts(
  home: KeptHome,
  session: Session,
  { programme, address }: { programme: string; address: string },
): GuideLetterFacts {
  return {
    home: home.nickname,
    title: session.title,
    on: session.on,
    programme,
    language: home.language,
    address,
  };
}
