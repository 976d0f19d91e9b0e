import { listOf } from '../core/message.ts';
import { inBag, withoutThing, type GuideWords } from './guideWords.ts';
import { KNOWN_BEFOREHAND } from '../core/cautions/index.ts';
import type { Guide, GuideSegment } from '../core/guide/index.ts';
import type { GuideSheet, SheetLine } from '../core/print/index.ts';
import { withoutMarks } from './ownWords.ts';

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
        `${words.say('aboutMinutes', { minutes: Math.round(likely) })} ${words.say('forChildren', { names: listOf(guide.children) })} (${words.say('betweenMinutes', { low: Math.round(low), high: Math.round(high) })})`,
      ),
      ...(guide.aim ? [line('line', `${words.say('aim')}: ${guide.aim}`)] : []),
      line('heading', words.say('fetch')),
      ...fetchLines(guide, words),
      ...(guide.before.length > 0 ? [line('heading', words.say('before'))] : []),
      ...guide.before.map(({ days, text }) => line('line', `${words.say('daysBefore', { days: days })}: ${text}`)),
      line('soft', words.say('mayStop')),
      ...guide.segments.flatMap((segment, index) => partLines(segment, index + 1, words)),
      line('soft', words.say('adultDecides')),
    ],
  };
}

function line(style: SheetLine['style'], text: string): SheetLine {
  return { style, text: withoutMarks(text) };
}

function fetchLines(guide: Guide, words: GuideWords): SheetLine[] {
  const lines = [
    ...guide.books.flatMap(({ title, retold }) => [
      line('item', words.say('theBook', { title: title })),
      ...(retold ? [line('soft', `${words.say('noBook')} ${retold}`)] : []),
    ]),
    ...guide.fetch.map(({ qty, name, insteadOf, source, kitQty, elseDo = [] }) => {
      const further = [
        insteadOf && words.say('insteadOf', { things: insteadOf }),
        source === 'kit' && inBag(words, guide.programme, kitQty),
        source === 'missing' && withoutThing(words, { name, elseDo }),
      ].filter(Boolean);
      return line('item', `${qty} ${name}${further.length > 0 ? ` (${further.join('; ')})` : ''}`);
    }),
  ];
  return lines.length > 0 ? lines : [line('line', words.say('nothingToFetch'))];
}

function partLines(segment: GuideSegment, step: number, words: GuideWords): SheetLine[] {
  const heading = line('heading', `${step}. ${segment.title}`);
  if (segment.leftOut) {
    const { waitsFor } = segment;
    const why = waitsFor ? words.say('waitsFor', { things: listOf(waitsFor) }) : words.say('leftOut');
    return [heading, line('line', why)];
  }
  const level = segment.levels[segment.level];
  const places = [segment.where, segment.surface, segment.seating].filter(Boolean).join(' · ');
  const pressing = segment.cautions.filter(
    ({ rule, level: weight }) => weight !== 'note' || KNOWN_BEFOREHAND.has(rule) || rule.startsWith('own-'),
  );
  return [
    heading,
    line(
      'soft',
      [words.say('aboutMinutes', { minutes: Math.round(segment.minutes) }), places].filter(Boolean).join(' · '),
    ),
    ...pressing.map(({ rule, level: weight, words: own }) =>
      line('strong', `${words.say(`levels.${weight}`)}: ${words.caution(rule, weight, own)}`),
    ),
    ...(level?.note ? [line('soft', level.note)] : []),
    ...(level?.lines ?? []).flatMap(({ kind, text, answer, why, wait, role }) => [
      line('line', `${role ? words.say(`roles.${role}`) : words.say(`kinds.${kind}`)}: ${text}`),
      ...(answer ? [line('soft', `→ ${answer}`)] : []),
      ...(why ? [line('soft', why)] : []),
      ...(wait ? [line('soft', words.say('leaveIt', { minutes: wait }))] : []),
    ]),
    ...(segment.meanwhile ? [line('soft', `${words.say('meanwhile')}: ${segment.meanwhile}`)] : []),
  ];
}
