import { now } from '../clock.ts';
import { GuideLinkRow, HomeRow, MessageRow } from '../db/models.ts';
import { isUuid } from '../db/repositories/sessions.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { guideToken } from '../http/secrets.ts';
import { readLetter } from './letters.ts';
import { mail, type Letter } from '../post/mail.ts';
import { requireAuthor, type Person } from './person.ts';

/** The links of a session that are not revoked, by home. */
export async function listLinks(person: Person, sessionId: string): Promise<{ home: string; token: string }[]> {
  requireAuthor(person);
  tables();
  const links = await GuideLinkRow.findAll({
    where: { sessionId, programmeId: person.programmeId, revokedAt: null },
    include: [{ model: HomeRow, as: 'home' }],
  });
  return links.map((link) => ({ home: link.home!.nickname, token: guideToken(link.id) }));
}

/** Ends a home's link: whoever opens it sees the page of a link that never was. */
export async function revokeLink(person: Person, linkId: string): Promise<{ sessionId: string }> {
  requireAuthor(person);
  tables();
  const link = isUuid(linkId)
    ? await GuideLinkRow.findOne({ where: { id: linkId, programmeId: person.programmeId } })
    : null;
  if (!link) throw new EdgeError('not-found');
  if (!link.revokedAt) await link.update({ revokedAt: now() });
  return { sessionId: link.sessionId };
}

export interface PostedLink {
  readonly sessionId: string;
  readonly home: string;
  readonly token: string;
  readonly revokedAt: Date | null;
  readonly letter: Letter | null;
  /** What became of it; null where none was written. */
  readonly state: MessageRow['state'] | null;
}

/** A home's link and the letter that carries it, for those who may send. */
export async function readLink(person: Person, linkId: string): Promise<PostedLink> {
  requireAuthor(person);
  tables();
  const link = isUuid(linkId)
    ? await GuideLinkRow.findOne({
        where: { id: linkId, programmeId: person.programmeId },
        include: [
          { model: HomeRow, as: 'home' },
          { model: MessageRow, as: 'messages', separate: true, order: [['changedAt', 'DESC']] },
        ],
      })
    : null;
  if (!link) throw new EdgeError('not-found');
  const message = link.messages?.[0];
  const kept = message?.mailId ? () => mail().read(message.mailId!) : () => Promise.resolve(null);
  return {
    sessionId: link.sessionId,
    state: message?.state ?? null,
    home: link.home!.nickname,
    token: guideToken(link.id),
    revokedAt: link.revokedAt,
    letter: (message && readLetter(message)) ?? (await kept()),
  };
}
