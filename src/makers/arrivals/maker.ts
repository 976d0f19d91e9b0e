import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { counters, inColumn, inRow, labelled } from '../../core/page/index.ts';
import {
  counterSwaps,
  lasting,
  linesAbout,
  type Maker,
  readNumbers,
  refuse,
  refuseList,
  usedUp,
} from '../../core/makers/index.ts';

const named = (number: number): Message => ({ key: 'makers/number', values: { number } });

/** Guests that come page by page: how many now, how many are still to come, are all here? */
export const maker: Maker = {
  id: 'arrivals',
  place: 210,
  skills: ['join-separate', 'how-many'],
  dials: [{ kind: 'list', name: 'guests', value: '1 2 1 3' }],
  make(values, _settings, say) {
    const read = readNumbers(String(values.guests), { dial: 'guests', least: 0, most: 9, count: 10 });
    if (!read.ok) return read;
    const guests = read.value;
    if (guests.length < 2) return refuseList('guests', 'problem.few-pages', { pages: guests.length });
    const totals = guests.map((_, page) => guests.slice(0, page + 1).reduce((sum, number) => sum + number, 0));
    const all = totals.at(-1)!;
    if (all === 0) return refuse('problem.nobody');
    if (all > 30) return refuse('problem.too-many', { all, most: 30 });
    const half = Math.max(1, Math.floor(guests.length / 2));
    const facts: MessageValues = {
      pages: guests.length,
      all,
      first: guests[0]!,
      second: guests[1]!,
      two: totals[1]!,
      guests: listOf(guests, 'comma'),
      totals: listOf(totals.map(named), 'comma'),
      half,
      then: totals[half - 1]!,
      left: all - totals[half - 1]!,
      most: Math.max(...guests),
      mostPages: listOf(guests.flatMap((number, page) => (number === Math.max(...guests) ? [page + 1] : []))),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: guests.length, seconds: 40 },
      picture: inColumn(
        guests.map((number, page) =>
          inRow(
            [
              labelled(String(page + 1), { width: 12, height: 10, size: 6 }),
              counters(number, { size: 6 }),
              labelled(`${totals[page]!}`, { width: 14, height: 10, size: 6 }),
            ],
            5,
          ),
        ),
        3,
      ),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'ask-2', 'ask-3', 'ask-4', 'notice-1'),
        harder: write('do-1', 'ask-3', 'ask-5', 'do-3', 'ask-6'),
      },
      materials: [lasting('bottle-lid', all, counterSwaps(say)), usedUp('paper', 1), lasting('pencil', 1)],
      actions: [],
      printable: {
        title: say('printable'),
        cards: guests.map((_, page) => labelled(String(page + 1), { width: 60, height: 50, size: 20 })),
        sheets: [],
      },
      key: guests.map((number, page) => say('key', { page: page + 1, number, total: totals[page]! })),
    });
  },
};
