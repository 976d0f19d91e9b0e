import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';

/** What an installation remembers of itself: how far the demo was loaded, when a worker last looked after what is due. */
type InstallationName = 'demo' | 'swept';

/** What is remembered under a name; null when nothing is. One query. */
export async function readInstallation(name: InstallationName): Promise<string | null> {
  const [row] = await database().query<{ value: string }>('SELECT value FROM installation WHERE name = :name', {
    replacements: { name },
    type: QueryTypes.SELECT,
  });
  return row?.value ?? null;
}

/** Remembers a value under a name, in place of the one before. One query. */
export async function writeInstallation(name: InstallationName, value: string): Promise<void> {
  await database().query(
    `INSERT INTO installation (name, value) VALUES (:name, :value)
       ON CONFLICT (name) DO UPDATE SET value = EXCLUDED.value, changed_at = now()`,
    { replacements: { name, value } },
  );
}

/** Whether nobody said this within so many seconds; who asks first has said it. By the database's clock. One query. */
export async function isFirstWithin(name: InstallationName, seconds: number): Promise<boolean> {
  const [rows] = await database().query(
    `INSERT INTO installation (name, value) VALUES (:name, '')
       ON CONFLICT (name) DO UPDATE SET changed_at = now()
         WHERE installation.changed_at < now() - :seconds * interval '1 second'
     RETURNING name`,
    { replacements: { name, seconds } },
  );
  return rows.length > 0;
}

/** How long ago a worker last looked after what is due, and how many letters are due. One query. */
export async function countDue(): Promise<{ workerSeconds: number | null; lettersDue: number }> {
  const [row] = await database().query<{ workerSeconds: number | null; lettersDue: number }>(
    `SELECT (SELECT floor(extract(epoch FROM now() - changed_at))::int FROM installation WHERE name = 'swept') AS "workerSeconds",
            (SELECT count(*)::int FROM messages WHERE state = 'waiting' AND (next_try_at IS NULL OR next_try_at <= now())) AS "lettersDue"`,
    { type: QueryTypes.SELECT },
  );
  return row!;
}
