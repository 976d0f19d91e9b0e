/** The command line of Footstool: each word is one file beside this one, loaded when it is asked for. */
const COMMANDS: Record<string, () => Promise<(words: readonly string[]) => Promise<number>>> = {
  calc: async () => (await import('./calc/calc.ts')).runCalc,
  start: async () => (await import('./start.ts')).runStart,
  serve: async () => (await import('./serve.ts')).runServe,
  seed: async () => (await import('./seed.ts')).runSeed,
  owner: async () => (await import('./owner.ts')).runOwner,
  import: async () => (await import('./files.ts')).runImport,
  backup: async () => (await import('./backup.ts')).runBackup,
  restore: async () => (await import('./backup.ts')).runRestore,
  export: async () => (await import('./files.ts')).runExport,
};

/** What went wrong, in words; a database that is away says so in other words than its driver. */
function sentenceOf(error: unknown): string {
  const { name = '', message = String(error) } = error instanceof Error ? error : {};
  if (!name.startsWith('SequelizeConnection') && !name.startsWith('SequelizeHost')) return message;
  return `the database cannot be reached (${message}). Look whether it runs and whether DATABASE_URL names it`;
}

const [command = '', ...words] = process.argv.slice(2);
const load = Object.hasOwn(COMMANDS, command) ? COMMANDS[command] : undefined;
if (load) {
  const run = await load();
  try {
    process.exitCode = await run(words);
  } catch (error) {
    // A sentence for whoever typed the command; where in the program it happened is for LOG_LEVEL=debug.
    process.stderr.write(`footstool: ${sentenceOf(error)}\n`);
    if (process.env.LOG_LEVEL === 'debug') process.stderr.write(`${(error as Error).stack ?? ''}\n`);
    process.exit(1);
  }
} else {
  process.stderr.write(`footstool: there is no "${command}"; there are: ${Object.keys(COMMANDS).join(', ')}\n`);
  process.exitCode = 2;
}

export {};
