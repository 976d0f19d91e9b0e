import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { startServer, startTestDatabase } from './app.ts';

const ROOT = resolve(import.meta.dirname, '../..');

/** One database with the demo and one built server for all browser tests; both are gone afterwards. */
export default async function globalSetup(): Promise<() => Promise<void>> {
  if (!existsSync(join(ROOT, 'dist/server/entry.mjs'))) throw new Error('build first: npm run build');
  const folder = mkdtempSync(join(tmpdir(), 'footstool-data-'));
  const database = await startTestDatabase();
  const server = await startServer(database.url, folder);
  process.env.TEST_ADDRESS = server.address;
  process.env.TEST_DATABASE = database.url;
  process.env.TEST_DATABASE_FOLDER = folder;
  return async () => {
    await server.stop();
    database.remove();
    rmSync(folder, { recursive: true, force: true });
  };
}
