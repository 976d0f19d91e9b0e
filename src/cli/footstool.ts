/** The command line of Footstool: each word is one file beside this one, loaded when it is asked for. */
const COMMANDS: Record<string, () => Promise<(words: readonly string[]) => Promise<number>>> = {
  calc: async () => (await import('./calc.ts')).runCalc,
  start: async () => (await import('./start.ts')).runStart,
  serve: async () => (await import('./serve.ts')).runServe,
  seed: async () => (await import('./seed.ts')).runSeed,
  owner: async () => (await import('./owner.ts')).runOwner,
  import: async () => (await import('./files.ts')).runImport,
  export: async () => (await import('./files.ts')).runExport,
};

const [command = '', ...words] = process.argv.slice(2);
const load = Object.hasOwn(COMMANDS, command) ? COMMANDS[command] : undefined;
if (load) {
  const run = await load();
  process.exitCode = await run(words);
} else {
  process.stderr.write(`footstool: there is no "${command}"; there are: ${Object.keys(COMMANDS).join(', ')}\n`);
  process.exitCode = 2;
}

export {};
