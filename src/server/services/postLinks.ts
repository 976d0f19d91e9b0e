import { now } from '../clock.ts';
import { GuideLinkRow, HomeRow, MessageRow } from '../db/models.ts';
import { isUuid } from '../db/repositories/sessions.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { guideToken } from '../http/secrets.ts';
import { mail, type Letter } from '../post/mail.ts';
import { requireAuthor, type Person } from './person.ts';

/** The links of a session that are not revoked, by home. */
export async function listLinks(person: Person, sessionId: string): Promise<{ home: string; token: string }[]> {
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
}

/** A home's link and the letter that carried it, as the mail service has it. */
export async function readLink(person: Person, linkId: string): Promise<PostedLink> {
  tables();
  const link = isUuid(linkId)
    ? await GuideLinkRow.findOne({
        where: { id: linkId, programmeId: person.programmeId },
        include: [
          { model: HomeRow, as: 'home' },
          { model: MessageRow, as: 'messages', separate: true, order: [['sentAt', 'DESC NULLS LAST']] },
        ],
      })
    : null;
  if (!link) throw new EdgeError('not-found');
  const mailId = link.messages?.find((message) => message.mailId)?.mailId;
  return {
    sessionId: link.sessionId,
    home: link.home!.nickname,
    token: guideToken(link.id),
    revokedAt: link.revokedAt,
    letter: mailId ? await mail().read(mailId) : null,
  };
}
