import type { GuideWords } from './guideWords.ts';
import { KNOWN_BEFOREHAND } from '../core/cautions/rules.ts';
import type { Guide, GuideSegment } from '../core/guide/guide.ts';
import type { GuideSheet, SheetLine } from '../core/print/guidePages.ts';
import { withoutMarks } from './ownWords.ts';
import { cautionText } from './guide.ts';

/** A home's guide as it is printed: everything at the level that was sent, from the top down. */
export function guideSheet(guide: Guide, words: GuideWords): GuideSheet {
  const { low, high, likely } = guide.minutes;
  return {
    home: guide.home,
    title: guide.title,
    lines: [
      line('soft', `${guide.programme} · ${words.date(guide.on)}${guide.at ? `, ${guide.at}` : ''}`),
      line('title', guide.title),
      line(
        'line',
        `${words.aboutMinutes(Math.round(likely))} ${words.forChildren(guide.children)} (${words.betweenMinutes(Math.round(low), Math.round(high))})`,
      ),
      ...(guide.aim ? [line('line', `${words.aim}: ${guide.aim}`)] : []),
      line('heading', words.fetch),
      ...fetchLines(guide, words),
      ...(guide.before.length > 0 ? [line('heading', words.before)] : []),
      ...guide.before.map(({ days, text }) => line('line', `${words.daysBefore(days)}: ${text}`)),
      line('soft', words.mayStop),
      ...guide.segments.flatMap((segment, index) => partLines(segment, index + 1, words)),
      line('soft', words.adultDecides),
    ],
  };
}

function line(style: SheetLine['style'], text: string): SheetLine {
  return { style, text: withoutMarks(text) };
}

function fetchLines(guide: Guide, words: GuideWords): SheetLine[] {
  const lines = [
    ...guide.books.flatMap(({ title, retold }) => [
      line('item', words.theBook(title)),
      ...(retold ? [line('soft', `${words.noBook} ${retold}`)] : []),
    ]),
    ...guide.fetch.map(({ qty, name, insteadOf, source, kitQty, elseDo = [] }) => {
      const further = [
        insteadOf && words.insteadOf(insteadOf),
        source === 'kit' && words.fromKit(guide.programme, kitQty),
        source === 'missing' && words.withoutIt(name, elseDo),
      ].filter(Boolean);
      return line('item', `${qty} ${name}${further.length > 0 ? ` (${further.join('; ')})` : ''}`);
    }),
  ];
  return lines.length > 0 ? lines : [line('line', words.nothingToFetch)];
}

function partLines(segment: GuideSegment, step: number, words: GuideWords): SheetLine[] {
  const heading = line('heading', `${step}. ${segment.title}`);
  if (segment.leftOut) return [heading, line('line', words.leftOut)];
  const level = segment.levels[segment.level];
  const places = [segment.where, segment.surface, segment.seating].filter(Boolean).join(' · ');
  const pressing = segment.cautions.filter(
    ({ rule, level: weight }) => weight !== 'note' || KNOWN_BEFOREHAND.has(rule) || rule.startsWith('own-'),
  );
  return [
    heading,
    line('soft', [words.aboutMinutes(Math.round(segment.minutes)), places].filter(Boolean).join(' · ')),
    ...pressing.map(({ rule, level: weight, words: own }) =>
      line('strong', `${words.levels[weight]}: ${cautionText(words, rule, weight, own)}`),
    ),
    ...(level?.note ? [line('soft', level.note)] : []),
    ...(level?.lines ?? []).flatMap(({ kind, text, answer, why, wait, role }) => [
      line('line', `${role ? words.roles[role] : words.kinds[kind]}: ${text}`),
      ...(answer ? [line('soft', `→ ${answer}`)] : []),
      ...(why ? [line('soft', why)] : []),
      ...(wait ? [line('soft', words.leaveIt(wait))] : []),
    ]),
  ];
}
