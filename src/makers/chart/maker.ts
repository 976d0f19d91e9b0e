import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { counters, type Drawing, emptyTable, inColumn, inRow, labelled } from '../../core/page/index.ts';
import {
  counterSwaps,
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  readNumbers,
  readOwnWords,
  refuse,
  refuseList,
  usedUp,
} from '../../core/makers/index.ts';

const MOST_IN_ROW = 15;

/** What was found, tried or liked, laid in rows that begin at one line: which has more, and how many more. */
export const maker: Maker = {
  id: 'chart',
  place: 100,
  skills: ['compare', 'sort'],
  dials: [
    { kind: 'list', name: 'rows', value: 'sun, rain, cloud' },
    { kind: 'list', name: 'counts', value: '3 5 2' },
  ],
  make(values, _settings, say) {
    const rows = readOwnWords(String(values.rows), { dial: 'rows', least: 2, most: 6 });
    if (!rows.ok) return rows;
    const counts = readNumbers(String(values.counts), { dial: 'counts', least: 0, most: MOST_IN_ROW, count: 6 });
    if (!counts.ok) return counts;
    const numbers = counts.value;
    if (numbers.length !== rows.value.length)
      return refuseList('counts', 'problem.as-many', { counts: numbers.length, rows: rows.value.length });
    const all = numbers.reduce((sum, number) => sum + number, 0);
    if (all === 0) return refuse('problem.nothing');
    const most = Math.max(...numbers);
    const least = Math.min(...numbers);
    const rowsWith = (number: number) => listOf(rows.value.filter((_, index) => numbers[index] === number).map(inOwn));
    const named = rows.value.map((name, index): Message => ({
      key: 'chart/row',
      values: { name: inOwn(name), number: numbers[index]! },
    }));
    const facts: MessageValues = {
      rows: listOf(rows.value.map(inOwn)),
      count: rows.value.length,
      all,
      most,
      least,
      difference: most - least,
      mostRows: rowsWith(most),
      leastRows: rowsWith(least),
      alike: most === least ? 'yes' : 'no',
      named: listOf(named),
      first: inOwn(rows.value[0]!),
      firstCount: numbers[0]!,
      second: inOwn(rows.value[1]!),
      two: numbers[0]! + numbers[1]!,
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: all, seconds: 8 },
      picture: pictureGraph(rows.value, numbers),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'ask-2', 'ask-3', 'ask-4', 'notice-1'),
        harder: write('do-1', 'ask-4', 'ask-5', 'ask-6'),
      },
      materials: [
        lasting(
          'building-block',
          all,
          counterSwaps(say).filter(({ item }) => item !== 'building-block'),
        ),
        usedUp('paper', 1),
        lasting('crayon', 1),
      ],
      actions: [],
      printable: { title: say('printable'), cards: [], sheets: [emptyTable(rows.value, most, 170)] },
      key: named.map(({ key, values: row }) => say(key.slice(key.indexOf('/') + 1), row)),
    });
  },
};

/** Rows that begin at one line, each with its name. */
function pictureGraph(rows: readonly string[], numbers: readonly number[]): Drawing {
  return inColumn(
    rows.map((name, index) =>
      inRow(
        [
          labelled(name, { width: 36, height: 12, size: 6 }),
          counters(numbers[index]!, { size: 8, perRow: MOST_IN_ROW }),
        ],
        4,
      ),
    ),
    3,
  );
}
