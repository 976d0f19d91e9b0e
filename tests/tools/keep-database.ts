import { execFileSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { NEWEST_SCHEMA } from '../../src/server/db/migrations/migrate.ts';
import { startDemoDatabase } from '../support/app.ts';

/**
 * Keeps the demo's database as this version leaves it, for tests of later versions (tests/integration/earlierDatabases):
 * run it before a migration is added.
 */
const FOLDER = resolve(import.meta.dirname, '../fixtures/databases');
const records = await startDemoDatabase();
try {
  const whole = { maxBuffer: 64 * 1024 * 1024 };
  const dump = execFileSync('pg_dump', ['--no-owner', '--no-privileges', records.url], whole).toString();
  mkdirSync(FOLDER, { recursive: true });
  // Without what pg_dump writes for psql alone, and is another each time.
  const text = dump.replace(/^\\(un)?restrict .*\n/gm, '');
  writeFileSync(join(FOLDER, `${NEWEST_SCHEMA}.sql.gz`), gzipSync(text, { level: 9 }));
  console.log(`kept as ${NEWEST_SCHEMA}`);
} finally {
  await records.remove();
}
