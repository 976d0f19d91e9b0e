import { endLink, readLinksOf, readLinkWithLetter } from '../db/repositories/guideLinks.ts';
import type { MessageState } from '../db/repositories/messages.ts';
import { EdgeError } from '../http/errors.ts';
import { guideToken } from '../http/secrets.ts';
import { readLetter } from './letters.ts';
import { mail, type Letter } from '../post/mail.ts';
import { requireAuthor, type Person } from './person.ts';

/** The links of a session that are not revoked, by home. */
export async function listLinks(person: Person, sessionId: string): Promise<{ home: string; token: string }[]> {
  requireAuthor(person);
  const links = await readLinksOf(person.programmeId, sessionId);
  return links.map(({ id, home }) => ({ home, token: guideToken(id) }));
}

/** Ends a home's link: whoever opens it sees the page of a link that never was. */
export async function revokeLink(person: Person, linkId: string): Promise<{ sessionId: string }> {
  requireAuthor(person);
  const sessionId = await endLink(person.programmeId, linkId);
  if (!sessionId) throw new EdgeError('not-found');
  return { sessionId };
}

export interface PostedLink {
  readonly sessionId: string;
  readonly home: string;
  readonly token: string;
  readonly revokedAt: Date | null;
  readonly letter: Letter | null;
  /** What became of it; null where none was written. */
  readonly state: MessageState | null;
}

/** A home's link and the letter that carries it, for those who may send. */
export async function readLink(person: Person, linkId: string): Promise<PostedLink> {
  requireAuthor(person);
  const link = await readLinkWithLetter(person.programmeId, linkId);
  if (!link) throw new EdgeError('not-found');
  const { message } = link;
  const kept = message?.mailId ? () => mail().read(message.mailId!) : () => Promise.resolve(null);
  return {
    sessionId: link.sessionId,
    state: message?.state ?? null,
    home: link.home,
    token: guideToken(link.id),
    revokedAt: link.revokedAt,
    letter: (message && readLetter(message)) ?? (await kept()),
  };
}
