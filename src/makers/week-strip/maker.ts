import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { err, ok } from '../../core/outcome.ts';
import { inColumn, inRow, labelled } from '../../core/page/index.ts';
import { inOwn, lasting, linesAbout, type Maker, readOwnWords, usedUp } from '../../core/makers/index.ts';

const DAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
const WEEK = DAYS.length;

const day = (index: number): Message => ({ key: `week-strip/day.${(index + WEEK) % WEEK}` });

/** The days in order, what happens on which, a clip that moves: today, yesterday and tomorrow. */
export const maker: Maker = {
  id: 'week-strip',
  place: 290,
  skills: ['week-day', 'order'],
  dials: [
    { kind: 'choice', name: 'today', choices: DAYS, value: 'wednesday' },
    { kind: 'choice', name: 'begins', choices: ['monday', 'sunday', 'saturday'], value: 'monday' },
    { kind: 'list', name: 'happens', value: 'swimming, library' },
  ],
  make(values, _settings, say) {
    const happens = readOwnWords(String(values.happens), { dial: 'happens', least: 1, most: WEEK });
    if (!happens.ok) return happens.problem.code === 'list' ? happens : err(happens.problem);
    const today = DAYS.indexOf(String(values.today));
    const begins = DAYS.indexOf(String(values.begins));
    const order = Array.from({ length: WEEK }, (_, index) => (begins + index) % WEEK);
    const place = order.indexOf(today) + 1;
    const facts: MessageValues = {
      today: day(today),
      yesterday: day(today - 1),
      tomorrow: day(today + 1),
      begins: day(begins),
      after: day(today + 2),
      days: WEEK,
      place,
      gone: place - 1,
      left: WEEK - place,
      happens: listOf(happens.value.map(inOwn)),
      first: inOwn(happens.value[0]!),
      events: happens.value.length,
      week: day(today + WEEK),
    };
    const write = linesAbout(say, facts);
    const names = order.map((index) => say(`day.${index}`));
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: WEEK, seconds: 15 },
      picture: inRow(
        names.map((name, index) =>
          labelled(name, { width: 26, height: 30, size: 5, fill: index === place - 1 ? 'yellow' : 'white' }),
        ),
        0,
      ),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'say-1', 'ask-1', 'ask-2', 'ask-3', 'notice-1'),
        harder: write('do-1', 'ask-2', 'ask-4', 'ask-5'),
      },
      materials: [
        usedUp('paper', 1),
        lasting('clothes-peg', 1, [{ item: 'paper-clip', fit: 0.8, why: say('swap.paper-clip') }]),
        lasting('crayon', 1),
      ],
      actions: [],
      printable: {
        title: say('printable'),
        cards: [],
        sheets: [inColumn([inRow(names.slice(0, 4).map(dayBox), 0), inRow(names.slice(4).map(dayBox), 0)], 10)],
      },
      key: names.map((name, index) => say('key', { place: index + 1, day: inOwn(name) })),
    });
  },
};

/** A day to draw in. */
function dayBox(name: string) {
  return inColumn([labelled(name, { width: 44, height: 12, size: 6 }), labelled('', { width: 44, height: 60 })], 0);
}
