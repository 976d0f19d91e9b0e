import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, framedCard, inColumn, inRow, wordCard, writing } from '../../core/page/index.ts';
import {
  inOwn,
  linesAbout,
  type Maker,
  numberOf,
  readOwnWords,
  refuseList,
  sheetsNeeded,
  usedUp,
} from '../../core/makers/index.ts';

/** Days after a portion was first said on which it is said again; each gap twice the one before. */
const RETURNS = [1, 3, 7, 15] as const;

/** When a portion is said: portions begin so many days apart, and each returns at growing distances. Day 1 is the first. */
export function portionDays(portion: number, apart: number): number[] {
  const first = 1 + portion * apart;
  return [first, ...RETURNS.map((days) => first + days)];
}

/** A verse learned in portions, each with its returns; a row a child. */
export const maker: Maker = {
  id: 'by-heart',
  place: 560,
  skills: ['by-heart', 'listen'],
  dials: [
    {
      kind: 'list',
      name: 'verse',
      value: 'The moon is a boat / with nobody in / it rocks on the clouds / and grows very thin',
    },
    { kind: 'number', name: 'lines', min: 1, max: 4, value: 1 },
    { kind: 'number', name: 'apart', min: 1, max: 7, value: 3 },
    { kind: 'list', name: 'names', value: 'Mo, Tilda' },
  ],
  make(values, _settings, say) {
    const lines = String(values.verse)
      .split('/')
      .map((line) => line.trim().replace(/\s+/g, ' '))
      .filter(Boolean);
    if (lines.length < 2 || lines.length > 12) return refuseList('verse', 'problem.lines', { lines: lines.length });
    const names = readOwnWords(String(values.names), { dial: 'names', least: 1, most: 10 });
    if (!names.ok) return names;
    const perPortion = numberOf(values, 'lines');
    const apart = numberOf(values, 'apart');
    const portions = Array.from({ length: Math.ceil(lines.length / perPortion) }, (_, index) =>
      lines.slice(index * perPortion, (index + 1) * perPortion).join(', '),
    );
    const days = portions.map((_, index) => portionDays(index, apart));
    const last = days.at(-1)!.at(-1)!;
    const sheet = sheetFor({ portions, days, names: names.value, dayWord: (day) => say('day', { day }) });
    const printable = { title: say('printable'), cards: [], sheets: sheet };
    const facts: MessageValues = {
      lines: lines.length,
      portions: portions.length,
      first: inOwn(portions[0]!),
      last,
      apart,
      second: inOwn(portions[1] ?? portions[0]!),
      start: inOwn(portions[0]!.split(' ').slice(0, 2).join(' ')),
      names: listOf(names.value.map(inOwn)),
      children: names.value.length,
      weeks: Math.ceil(last / 7),
      days: daysOf(days[0]!),
      returns: daysOf(days[0]!.slice(1)),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: 3, seconds: 30 },
      picture: inColumn(sheet.slice(0, 2), 6),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'say-1', 'do-3', 'ask-1', 'notice-1', 'if-1'),
        harder: write('do-1', 'say-1', 'do-4', 'ask-4'),
      },
      materials: [usedUp('paper', sheetsNeeded(printable))],
      actions: [],
      printable,
      key: portions.map((portion, index) =>
        say('key', {
          portion: inOwn(portion),
          days: daysOf(days[index]!),
        }),
      ),
    });
  },
};

const daysOf = (days: readonly number[]) =>
  listOf(
    days.map((day) => ({ key: 'by-heart/day', values: { day } })),
    'comma',
  );

/** The verse, then for each child a row of fields, one for each day on which a portion is said. */
function sheetFor({
  portions,
  days,
  names,
  dayWord,
}: {
  portions: readonly string[];
  days: readonly (readonly number[])[];
  names: readonly string[];
  dayWord: (day: number) => string;
}): Drawing[] {
  const verse = writing(
    portions.map((portion, index) => `${index + 1}  ${portion}`),
    { width: 170, size: 7 },
  );
  const tables = portions.map((_, index) => {
    const head = inRow(
      [
        wordCard(String(index + 1), { width: 36, height: 8, most: 5, ink: 'teal' }),
        ...days[index]!.map((day) => wordCard(dayWord(day), { width: 24, height: 8, most: 4 })),
      ],
      1,
    );
    const rows = names.map((name) =>
      inRow(
        [
          framedCard(wordCard(name, { width: 36, height: 9, most: 5 })),
          ...days[index]!.map(() => framedCard({ width: 24, height: 9, shapes: [] })),
        ],
        1,
      ),
    );
    return inColumn([head, ...rows], 1);
  });
  return [verse, ...tables];
}
