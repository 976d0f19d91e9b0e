import { now } from '../../clock.ts';
import { CalendarFeedRow } from '../models.ts';
import { tables } from '../tables.ts';

/** The feed of a programme that is open; null without one. One query. */
export async function findFeed(programmeId: string): Promise<{ id: string; createdAt: Date } | null> {
  tables();
  const row = await CalendarFeedRow.findOne({ where: { programmeId, revokedAt: null } });
  return row && { id: row.id, createdAt: row.createdAt };
}

/** Opens a feed under an id, with the hash of its token. */
export async function addFeed(
  programmeId: string,
  { id, tokenHash }: { id: string; tokenHash: string },
): Promise<void> {
  tables();
  await CalendarFeedRow.create({ id, programmeId, tokenHash, createdAt: now(), revokedAt: null });
}

/** Ends the feeds of a programme. */
export async function endFeeds(programmeId: string): Promise<void> {
  tables();
  await CalendarFeedRow.update({ revokedAt: now() }, { where: { programmeId, revokedAt: null } });
}

/** The programme whose open feed has this token's hash; null otherwise. One query. */
export async function findProgrammeOfFeed(tokenHash: string): Promise<string | null> {
  tables();
  const row = await CalendarFeedRow.findOne({ where: { tokenHash, revokedAt: null } });
  return row && row.programmeId;
}
