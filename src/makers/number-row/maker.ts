import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { dieNet, inRow, labelled } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, readOwnWords, refuse, usedUp } from '../../core/makers/index.ts';

/** What the puppet does, and the name that sentences choose by. */
const MISTAKES: Readonly<Record<string, string>> = {
  'leaves-it-out': 'out',
  'says-it-twice': 'twice',
  'changes-two-round': 'round',
};
const FACES = 6;
const AROUND = 2;
const run = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, index) => from + index);
const named = (value: number): Message => ({ key: 'makers/number', values: { number: value } });
const inWords = (numbers: readonly number[]) => listOf(numbers.map(named), 'comma');

/** The row of numbers, said with moves and voices, and a puppet that gets it wrong where this child does. */
export const maker: Maker = {
  id: 'number-row',
  place: 30,
  skills: ['say-row', 'count-back'],
  run: { wayOut: ['do', 'do'] },
  dials: [
    { kind: 'number', name: 'to', min: 8, max: 30, value: 13 },
    { kind: 'number', name: 'missing', min: 2, max: 29, value: 7 },
    {
      kind: 'choice',
      name: 'mistake',
      choices: Object.keys(MISTAKES),
      value: 'leaves-it-out',
    },
    { kind: 'list', name: 'voices', value: 'mouse, bear, robot, ghost, opera, whisper' },
  ],
  make(values, settings, say) {
    const to = numberOf(values, 'to');
    const missing = numberOf(values, 'missing');
    if (missing >= to) return refuse('problem.outside', { missing, to });
    const voices = readOwnWords(String(values.voices), { dial: 'voices', least: FACES, most: FACES });
    if (!voices.ok) return voices;
    const [from, until] = [Math.max(1, missing - AROUND), Math.min(to, missing + AROUND)];
    const sound = run(from, until);
    const heard = mistaken(sound, missing, String(values.mistake));
    const facts: MessageValues = {
      to,
      missing: named(missing),
      before: named(missing - 1),
      after: named(missing + 1),
      wrong: inWords(heard),
      sound: inWords(sound),
      mistake: MISTAKES[String(values.mistake)]!,
      last: named(to),
      back: inWords(run(Math.max(1, to - 4), to).reverse()),
      short: named(5),
      onward: inWords(run(missing, until)),
      start: named(missing - 1),
    };
    const write = linesAbout(say, facts);
    const net = dieNet(voices.value, 40);
    return ok({
      facts: [
        say('fact', facts),
        ...(to <= 10 && settings.pastTen ? [say('fact.past-ten')] : []),
        ...(to > 20 ? [say('fact.regular')] : []),
      ],
      values: facts,
      turns: { count: to, seconds: 6 },
      picture: inRow(
        heard.map((number) => labelled(String(number), { width: 18, height: 18, size: 9 })),
        2,
      ),
      lines: {
        easier: write('do-2', 'say-2'),
        right: write('do-1', 'say-1', 'ask-1', 'ask-2', 'notice-1', ...(to > 20 ? (['notice-2'] as const) : [])),
        harder: write('do-1', 'say-1', 'ask-1', 'ask-3', 'ask-4'),
      },
      materials: [
        lasting('soft-toy', 1, [{ item: 'sock', fit: 0.9, why: say('swap.sock') }]),
        usedUp('paper', 1),
        lasting('scissors', 1),
        usedUp('masking-tape', 1, [{ item: 'glue-stick', fit: 0.9, why: say('swap.glue-stick') }]),
      ],
      actions: ['scissors'],
      printable: { title: say('printable'), cards: [], sheets: [net] },
      key: [say('key', facts)],
    });
  },
};

/** The row as the puppet says it. */
function mistaken(sound: readonly number[], missing: number, mistake: string): number[] {
  if (mistake === 'leaves-it-out') return sound.filter((number) => number !== missing);
  if (mistake === 'says-it-twice') return sound.flatMap((number) => (number === missing ? [number, number] : [number]));
  const at = sound.indexOf(missing);
  return sound.map((number, index) => (index === at ? sound[at + 1]! : index === at + 1 ? missing : number));
}
