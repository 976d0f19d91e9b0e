import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';

/** What an installation remembers of itself: how far the demo was loaded. */
type InstallationName = 'demo';

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
