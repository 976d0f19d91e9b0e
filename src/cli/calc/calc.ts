import { createInterface } from 'node:readline';
import { CALCULATIONS } from './calculations.ts';
import { CalcBench, type CalcText } from './calcBench.ts';

/** `footstool calc [NAME [--lines]]`: answers from the core, without a database. Returns the exit code. */
export async function runCalc(words: readonly string[]): Promise<number> {
  const [name, option] = words;
  if (name === undefined) {
    process.stdout.write(`${[...CALCULATIONS.keys()].join('\n')}\n`);
    return 0;
  }
  const isKnown = CALCULATIONS.has(name);
  if (!isKnown || (option !== undefined && option !== '--lines') || words.length > 2) {
    const what = isKnown
      ? `calc ${name} takes only --lines`
      : `no calculation is called "${name}"; calc alone lists them`;
    process.stderr.write(`$: ${what}\n`);
    return 2;
  }
  const bench = new CalcBench(name);
  try {
    return option === '--lines' ? await answerLines(bench) : await answerOne(bench);
  } finally {
    await bench.end();
  }
}

/** More text than any sound input has. */
const MOST_CHARACTERS = 16 * 1024 * 1024;

async function answerOne(bench: CalcBench): Promise<number> {
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of process.stdin) {
    size += (chunk as Buffer).length;
    if (size <= MOST_CHARACTERS) chunks.push(chunk as Buffer);
  }
  const answer = await bounded(bench, Buffer.concat(chunks).toString('utf8'), size);
  if ('error' in answer) {
    process.stderr.write(`${answer.error}\n`);
    return 2;
  }
  process.stdout.write(`${answer.json}\n`);
  return 0;
}

async function answerLines(bench: CalcBench): Promise<number> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const answer = await bounded(bench, line, line.length);
    const text = 'error' in answer ? JSON.stringify(answer) : answer.json;
    if (!process.stdout.write(`${text}\n`)) await new Promise((resolve) => process.stdout.once('drain', resolve));
  }
  return 0;
}

function bounded(bench: CalcBench, text: string, size: number): Promise<CalcText> | CalcText {
  return size > MOST_CHARACTERS ? { error: `$: is longer than ${MOST_CHARACTERS} characters` } : bench.answer(text);
}
