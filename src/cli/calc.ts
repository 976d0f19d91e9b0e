import { createInterface } from 'node:readline';
import { CALCULATIONS } from '../contracts/calc/calculations.ts';
import { CalcInputError, type Calculation } from '../contracts/calc/calculation.ts';

/** `footstool calc [NAME [--lines]]`: answers from the core, without a database. Returns the exit code. */
export async function runCalc(words: readonly string[]): Promise<number> {
  const [name, option] = words;
  if (name === undefined) {
    process.stdout.write(`${[...CALCULATIONS.keys()].join('\n')}\n`);
    return 0;
  }
  const calculate = CALCULATIONS.get(name);
  if (!calculate || (option !== undefined && option !== '--lines') || words.length > 2) {
    const what = calculate
      ? `calc ${name} takes only --lines`
      : `no calculation is called "${name}"; calc alone lists them`;
    process.stderr.write(`$: ${what}\n`);
    return 2;
  }
  return option === '--lines' ? answerLines(calculate) : answerOne(calculate);
}

async function answerOne(calculate: Calculation): Promise<number> {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  const answer = await answerText(calculate, Buffer.concat(chunks).toString('utf8'));
  if ('error' in answer) {
    process.stderr.write(`${answer.error}\n`);
    return 2;
  }
  process.stdout.write(`${answer.json}\n`);
  return 0;
}

async function answerLines(calculate: Calculation): Promise<number> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const answer = await answerText(calculate, line);
    const text = 'error' in answer ? JSON.stringify(answer) : answer.json;
    if (!process.stdout.write(`${text}\n`)) await new Promise((resolve) => process.stdout.once('drain', resolve));
  }
  return 0;
}

async function answerText(calculate: Calculation, text: string): Promise<{ json: string } | { error: string }> {
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch (error) {
    return { error: `$: not JSON (${(error as Error).message.replace(/\s+/g, ' ')})` };
  }
  try {
    return { json: writeJson(await calculate(input)) };
  } catch (error) {
    if (error instanceof CalcInputError) return { error: error.message.replace(/\s+/g, ' ') };
    throw error;
  }
}

/** JSON with whole numbers of any size written out in full. */
function writeJson(value: unknown): string {
  const huge: string[] = [];
  const json = JSON.stringify(value, (_, part: unknown) => {
    if (typeof part !== 'bigint') return part;
    huge.push(part.toString());
    return `\u0000${huge.length - 1}`;
  });
  return json.replace(/"\\u0000(\d+)"/g, (_, index: string) => huge[Number(index)]!);
}
