/** The command line of Footstool: each word is one file beside this one, loaded when it is asked for. */
const COMMANDS: Record<string, () => Promise<(words: readonly string[]) => Promise<number>>> = {
  calc: async () => (await import('./calc.ts')).runCalc,
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
