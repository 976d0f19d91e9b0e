interface Command {
  readonly words: string;
  /** Each is one file beside this one, loaded when it is asked for. */
  load(): Promise<(words: readonly string[]) => Promise<number>>;
}

/** The command line of Footstool. */
const COMMANDS: Readonly<Record<string, Command>> = {
  start: {
    words: 'builds if needed, starts the database, brings tables and demo, serves; Ctrl-C stops it',
    load: async () => (await import('./start.ts')).runStart,
  },
  serve: {
    words: 'one web and one worker on the database that DATABASE_URL names',
    load: async () => (await import('./serve.ts')).runServe,
  },
  web: {
    words: 'the pages alone, at HOST and PORT; any number of them work on one database',
    load: async () => (await import('./web.ts')).runWeb,
  },
  worker: {
    words: 'the work beside the pages alone: letters, prints, backups at night',
    load: async () => (await import('./worker.ts')).runWorker,
  },
  migrate: {
    words: 'brings the tables up to date, with a backup before',
    load: async () => (await import('./migrate.ts')).runMigrate,
  },
  seed: {
    words: 'migrate, and the demo on an empty database (--bare: without the demo)',
    load: async () => (await import('./seed.ts')).runSeed,
  },
  owner: {
    words: 'adds a programme and its first owner',
    load: async () => (await import('./owner.ts')).runOwner,
  },
  import: {
    words: 'takes a file in the open format into a programme',
    load: async () => (await import('./files.ts')).runImport,
  },
  export: {
    words: 'saves a programme’s shelf as a file in the open format',
    load: async () => (await import('./files.ts')).runExport,
  },
  backup: {
    words: 'saves everything in one file; --passphrase locks it',
    load: async () => (await import('./backup.ts')).runBackup,
  },
  restore: {
    words: 'puts such a file into an empty database (--replace: instead of what is there)',
    load: async () => (await import('./backup.ts')).runRestore,
  },
  calc: {
    words: 'one calculation of the core, JSON in and JSON out; alone it lists their names',
    load: async () => (await import('./calc/calc.ts')).runCalc,
  },
};

function help(): string {
  const lines = Object.entries(COMMANDS).map(([name, { words }]) => `  ${name.padEnd(9)}${words}`);
  return ['bin/footstool COMMAND', '', ...lines, '', 'README.md says which settings each reads.', ''].join('\n');
}

/** What went wrong, in words; a database that is away says so in other words than its driver. */
function sentenceOf(error: unknown): string {
  const { name = '', message = String(error) } = error instanceof Error ? error : {};
  if (!name.startsWith('SequelizeConnection') && !name.startsWith('SequelizeHost')) return message;
  return `the database cannot be reached (${message}). Look whether it runs and whether DATABASE_URL names it`;
}

const [name = '', ...words] = process.argv.slice(2);
const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
if (command) {
  const run = await command.load();
  try {
    process.exitCode = await run(words);
  } catch (error) {
    // A sentence for whoever typed the command; where in the program it happened is for LOG_LEVEL=debug.
    process.stderr.write(`footstool: ${sentenceOf(error)}\n`);
    if (process.env.LOG_LEVEL === 'debug') process.stderr.write(`${(error as Error).stack ?? ''}\n`);
    process.exit(1);
  }
} else if (['', '--help', '-h', 'help'].includes(name)) {
  process.stdout.write(help());
} else {
  process.stderr.write(`footstool: there is no "${name}"; there are: ${Object.keys(COMMANDS).join(', ')}\n`);
  process.exitCode = 2;
}

export {};
