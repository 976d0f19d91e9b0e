import { readdir, stat, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import { isSchemaFitting } from '../db/migrations/migrate.ts';
import { countDue } from '../db/repositories/installation.ts';
import { backupFolder } from '../backup/backups.ts';

/** Whether this process can serve, and how everything around it is. */
export interface OperationFacts {
  readonly isReady: boolean;
  readonly database: 'there' | 'away';
  readonly schema: 'fits' | 'does not fit' | 'unknown';
  /** Seconds since a worker last looked after what is due; null while none ever has. */
  readonly workerSeconds: number | null;
  /** Letters whose time has come. */
  readonly lettersDue: number | null;
  readonly freeMegabytes: number | null;
  /** Hours since the newest backup; null while there is none. */
  readonly backupHours: number | null;
}

const MEGABYTE = 1024 * 1024;
const MS_PER_HOUR = 3_600_000;
/** With less room the database itself is soon in danger. */
const FEWEST_MEGABYTES = 200;

/** Looks at everything a proxy or a person on duty wants to know. Three queries. */
export async function readOperations(): Promise<OperationFacts> {
  const [due, freeMegabytes, backupHours] = await Promise.all([
    countDue().catch(() => null),
    freeRoom(process.env.FOOTSTOOL_DATA ?? '.data'),
    hoursSinceBackup(),
  ]);
  const isFitting = due && (await isSchemaFitting().catch(() => null));
  const hasRoom = freeMegabytes === null || freeMegabytes >= FEWEST_MEGABYTES;
  return {
    isReady: due !== null && isFitting === true && hasRoom,
    database: due ? 'there' : 'away',
    schema: isFitting === null ? 'unknown' : isFitting ? 'fits' : 'does not fit',
    workerSeconds: due?.workerSeconds ?? null,
    lettersDue: due?.lettersDue ?? null,
    freeMegabytes,
    backupHours,
  };
}

async function freeRoom(folder: string): Promise<number | null> {
  const room = await statfs(folder).catch(() => null);
  return room && Math.floor((room.bavail * room.bsize) / MEGABYTE);
}

async function hoursSinceBackup(): Promise<number | null> {
  const folder = backupFolder();
  const names = (await readdir(folder).catch(() => [])).filter((name) => name.endsWith('.backup'));
  const times = await Promise.all(names.map(async (name) => (await stat(join(folder, name))).mtimeMs));
  return times.length > 0 ? Math.floor((Date.now() - Math.max(...times)) / MS_PER_HOUR) : null;
}
