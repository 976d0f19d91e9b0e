import { spawn } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Readable } from 'node:stream';

/** PostgreSQL's own programs are not on this machine. */
class NoDumpProgram extends Error {
  constructor(program: string) {
    super(
      `${program} is not on this machine: apt-get install postgresql-client (of the server’s version), then try again`,
    );
  }
}

/** What nobody needs back: who is signed in, who tried to, and jobs, which are made anew from what they work on. */
const LEFT_OUT = [
  ...['--exclude-table-data=public.sign_ins', '--exclude-table-data=public.tries', '--exclude-schema=queue'],
];

/** The newest of PostgreSQL's programs of that name. */
function programPath(name: string): string {
  const debian = existsSync('/usr/lib/postgresql')
    ? readdirSync('/usr/lib/postgresql').sort((left, right) => Number(right) - Number(left))
    : [];
  const folders = [
    ...[process.env.PGBIN ?? ''],
    ...debian.map((version) => `/usr/lib/postgresql/${version}/bin`),
    ...(process.env.PATH ?? '').split(':'),
  ];
  const found = folders.map((folder) => join(folder, name)).find((path) => path.startsWith('/') && existsSync(path));
  if (!found) throw new NoDumpProgram(name);
  return found;
}

/** Where a database is, as PostgreSQL's programs take it: not on the command line, which others can read. */
function whereabouts(url: string): NodeJS.ProcessEnv {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url);
  const sslMode = searchParams.get('sslmode');
  return {
    ...process.env,
    PGHOST: searchParams.get('host') ?? hostname,
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    ...(sslMode && { PGSSLMODE: sslMode }),
  };
}

/** Dumps a database as it is at this moment; `ended` fails, with what PostgreSQL said, when the dump is not whole. */
export function dumpDatabase(url: string): { dump: Readable; ended: Promise<void> } {
  const child = spawn(programPath('pg_dump'), ['--format=custom', '--no-owner', '--no-privileges', ...LEFT_OUT], {
    env: whereabouts(url),
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return { dump: child.stdout, ended: endOf(child, 'pg_dump') };
}

/** Puts a dump into a database that has none of its tables, all of it or nothing. */
export function restoreDatabase(url: string, dumpPath: string): Promise<void> {
  const words = ['--no-owner', '--no-privileges', '--exit-on-error', '--single-transaction'];
  const environment = whereabouts(url);
  const child = spawn(programPath('pg_restore'), [...words, `--dbname=${environment.PGDATABASE}`, dumpPath], {
    env: environment,
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  return endOf(child, 'pg_restore');
}

function endOf(child: ReturnType<typeof spawn>, name: string): Promise<void> {
  let said = '';
  child.stderr?.on('data', (text: Buffer) => (said = (said + text.toString()).slice(-2000)));
  const ended = new Promise<void>((done, failed) => {
    child.once('error', failed);
    child.once('close', (code) =>
      code === 0 ? done() : failed(new Error(`${name} did not come to its end: ${said.trim() || `code ${code}`}`)),
    );
  });
  // Whoever reads what comes out of it hears of a failure there first.
  ended.catch(() => undefined);
  return ended;
}
