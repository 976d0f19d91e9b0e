import { parentPort, workerData } from 'node:worker_threads';
import { depthOfJson, USUAL_BOUNDS } from '../../contracts/bounds.ts';
import { CalcInputError } from './calculation.ts';
import { CALCULATIONS } from './calculations.ts';
import type { CalcText } from './calcBench.ts';

const calculate = CALCULATIONS.get((workerData as { name: string }).name)!;

// One input a message; every one is answered, whatever goes wrong.
parentPort!.on('message', (text: string) => {
  void answer(text).then((said) => parentPort!.postMessage(said));
});

async function answer(text: string): Promise<CalcText> {
  if (depthOfJson(text) > USUAL_BOUNDS.depth)
    return { error: `$: must not lie deeper than ${USUAL_BOUNDS.depth} levels` };
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch (error) {
    return { error: `$: not JSON (${(error as Error).message.replace(/\s+/g, ' ').slice(0, 200)})` };
  }
  try {
    return { json: writeJson(await calculate(input)) };
  } catch (error) {
    if (error instanceof CalcInputError) return { error: error.message.replace(/\s+/g, ' ').slice(0, 1000) };
    return { error: '$: could not be worked out; make the input smaller or simpler' };
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
