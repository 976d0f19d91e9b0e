import { readSettings } from '../../contracts/programme.ts';
import type { OpenDays } from '../../core/calendar/index.ts';
import { composeGuide, type Guide, readGuideCopy, writeGuideCopy } from '../../core/guide/index.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import { now } from '../clock.ts';
import { addLack, holdGuide, removeLack, type HeldGuide } from '../db/repositories/guideLacks.ts';
import { markWithoutBook } from '../db/repositories/guideLinks.ts';
import { readHomes } from '../db/repositories/homes.ts';
import { addCopies } from '../db/repositories/sendings.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken } from '../http/secrets.ts';
import { readOpenDays } from './preparations.ts';
import { questionsBefore, readSafety } from './safety.ts';
import { takeThings } from './starter.ts';
import { countTry } from './tries.ts';

/** What a home says of its guide: that it has not got a thing or its book, or that it has got it after all. */
export type GuideWish =
  | { readonly what: 'thing'; readonly item: string; readonly isThere: boolean }
  | { readonly what: 'book'; readonly isThere: boolean };

/**
 * Takes down what a home says and writes its guide again, as a new edition under the same link: with something else and its
 * numbers, or without the part. `noted` when somebody of the programme would have to look at something first: then the guide
 * stays. Saying the same twice changes nothing. At most thirty times a day for a link.
 */
export async function rewriteGuide(token: string, wish: GuideWish): Promise<'rewritten' | 'noted' | 'same'> {
  const tokenHash = hashToken(token);
  const opened = await holdGuide(tokenHash);
  if (!opened) throw new EdgeError('not-found');
  if (isSaid(opened, wish)) return 'same';
  await countTry('rewrite', opened.linkId);
  // Read before the transaction: nobody waits in one for another connection.
  const openDays = await readOpenDays({ programmeId: opened.programmeId, settings: readSettings(opened.settings) });
  return inTransaction(async (transaction) => {
    const held = await holdGuide(tokenHash, transaction);
    if (!held) throw new EdgeError('not-found');
    if (isSaid(held, wish)) return 'same';
    await takeDown(held, wish, transaction);
    return (await writeAgain(tokenHash, openDays, transaction)) ? 'rewritten' : 'noted';
  });
}

/** Whether a home has said the same before. */
function isSaid({ isWithoutBook, lacks }: HeldGuide, wish: GuideWish): boolean {
  return wish.what === 'book' ? isWithoutBook === !wish.isThere : lacks.includes(wish.item) === !wish.isThere;
}

/** Writes down what the home says. */
async function takeDown(held: HeldGuide, wish: GuideWish, transaction: Transaction): Promise<void> {
  if (wish.what === 'book') return markWithoutBook(held.linkId, wish.isThere, transaction);
  const { item, isThere } = wish;
  if (isThere) {
    const { usualQty = 1 } = (await readThings(held.programmeId, transaction))[item] ?? {};
    return removeLack(held, { item, usualQty: Math.max(1, usualQty) }, transaction);
  }
  const asked = askedFor(readGuideCopy(held.guide)).find((thing) => thing.item === item);
  if (!asked) throw new EdgeError('wrong-form');
  await takeThings(held.programmeId, [item], transaction);
  await addLack(held, asked, transaction);
}

/** The things a guide asks a home for, by key and name, those of other levels too. */
function askedFor(guide: Guide): { item: string; name: string }[] {
  const more = guide.segments.flatMap(({ levels }) =>
    (['easier', 'right', 'harder'] as const).flatMap((level) => levels[level]?.more ?? []),
  );
  return [...guide.fetch, ...more].map(({ item, name }) => ({ item, name }));
}

/** Writes the guide again as the home is known now; whether nobody has to look at something first. */
async function writeAgain(tokenHash: string, openDays: OpenDays, transaction: Transaction): Promise<boolean> {
  const held = (await holdGuide(tokenHash, transaction))!;
  const { programmeId, programme, session, sessionId } = held;
  const settings = readSettings(held.settings);
  const sender = { programmeId, programme, settings };
  const things = await readThings(programmeId, transaction);
  const everybody = await readHomes(programmeId, { items: [], transaction });
  const [home] = await readHomes(programmeId, { ids: [held.homeId], transaction });
  // A home that was taken out keeps the guide it has.
  if (!home) return false;
  const safety = await readSafety(sender, { id: sessionId, session, homes: everybody }, transaction);
  if (questionsBefore(session, [home], { things, person: sender, safety }).length > 0) return false;
  const { books } = await readShelf(programmeId, ['book'], { transaction });
  const guide = composeGuide({
    session,
    home,
    things,
    programme,
    policy: settings.cautions,
    safety,
    books,
    openDays,
    assumeCommon: true,
    isWithoutBook: held.isWithoutBook,
    lacks: held.lacks,
    ...guideLanguage(home.language),
  });
  const copy = { linkId: held.linkId, sendingId: held.sendingId, edition: held.edition + 1, sentAt: now() };
  await addCopies([{ ...copy, guide: writeGuideCopy(guide), language: home.language }], transaction);
  return true;
}
