import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { counters, type Drawing, inColumn, inRow, labelled, tenFrame } from '../../core/page/index.ts';
import { counterSwaps, lasting, linesAbout, type Maker, numberOf, refuse, usedUp } from '../../core/makers/index.ts';

const MOST = 20;
const QUESTIONS = ['how-many-now', 'how-many-came-or-went', 'how-many-there-were'];

/** Things that come and go in a story: acted, told back, then written with signs; the question in three ways. */
export const maker: Maker = {
  id: 'story-sums',
  place: 200,
  skills: ['join-separate', 'parts-whole'],
  dials: [
    { kind: 'number', name: 'start', min: 0, max: 19, value: 3 },
    { kind: 'number', name: 'change', min: 1, max: 19, value: 2 },
    { kind: 'choice', name: 'way', choices: ['more-come', 'some-go'], value: 'more-come' },
    { kind: 'choice', name: 'question', choices: QUESTIONS, value: QUESTIONS[0]! },
  ],
  make(values, settings, say) {
    const start = numberOf(values, 'start');
    const change = numberOf(values, 'change');
    const comes = values.way === 'more-come';
    const end = comes ? start + change : start - change;
    if (end < 0) return refuse('problem.too-few', { start, change });
    if (end > MOST) return refuse('problem.too-many', { end, most: MOST });
    const signs = `${start} ${comes ? '+' : '−'} ${change} = ${end}`;
    const question = QUESTIONS.indexOf(String(values.question));
    const facts: MessageValues = {
      start,
      change,
      end,
      signs,
      comes: comes ? 'yes' : 'no',
      written: settings.stage === 'signs' ? 'yes' : 'no',
      oneMore: end + 1,
      most: Math.max(start, end),
      counted: counting(comes ? start + 1 : start - 1, end),
      few: Math.min(2, Math.max(1, start)),
      fewEnd: Math.min(2, Math.max(1, start)) + 1,
    };
    const write = linesAbout(say, facts);
    const asked = write('ask-1', 'ask-2', 'ask-3');
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: Math.max(start, end), seconds: 8 },
      picture: storyPicture(start, change, comes),
      lines: {
        easier: write('do-2', 'ask-5'),
        right: [...write('do-1', 'say-1'), asked[question]!, ...write('do-3', 'notice-1')],
        harder: [...write('do-1'), ...asked.filter((_, index) => index !== question), ...write('do-4', 'ask-4')],
      },
      materials: [
        lasting('toy-animal', Math.max(1, start, end), counterSwaps(say)),
        usedUp('paper', 1),
        lasting('pencil', 1, [{ item: 'crayon', fit: 0.9, why: say('swap.crayon') }]),
      ],
      actions: [],
      printable: {
        title: say('printable'),
        cards: [`${start}`, comes ? '+' : '−', `${change}`, '=', `${end}`].map((sign) =>
          labelled(sign, { width: 40, height: 50, size: 24 }),
        ),
        sheets: [],
      },
      key: [signs],
    });
  },
};

/** The numbers said while one goes on or back, from the first step to the end. */
function counting(from: number, to: number): MessageValues[string] {
  const step = from <= to ? 1 : -1;
  const numbers = Array.from({ length: Math.abs(to - from) + 1 }, (_, index) => from + step * index);
  return listOf(
    numbers.map((number): Message => ({ key: 'makers/number', values: { number } })),
    'comma',
  );
}

/** What was there, what came or went, and the end of it on a frame. */
function storyPicture(start: number, change: number, comes: boolean): Drawing {
  const end = comes ? start + change : start - change;
  const places = end > 10 || start > 10 ? 20 : 10;
  return inColumn(
    [
      inRow([counters(start, { size: 6 }), counters(change, { size: 6, ink: comes ? 'marigold' : 'grey' })], 10),
      tenFrame(places, comes ? start : end, { second: comes ? change : 0, cell: 9, perRow: 10 }),
    ],
    6,
  );
}
