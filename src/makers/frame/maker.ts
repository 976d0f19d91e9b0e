import type { MessageValues, Say } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, inRow, tenFrame } from '../../core/page/index.ts';
import {
  counterSwaps,
  lasting,
  linesAbout,
  type Maker,
  type MakerMaterial,
  numberOf,
  refuse,
} from '../../core/makers/index.ts';

const PLACES: Readonly<Record<string, number>> = { five: 5, ten: 10, 'two-tens': 20 };

/** Frames of five or ten, one or two of them, or a tray with other places. */
export const maker: Maker = {
  id: 'frame',
  place: 80,
  skills: ['see-how-many', 'parts-whole'],
  dials: [
    { kind: 'choice', name: 'frame', choices: Object.keys(PLACES), value: 'ten' },
    { kind: 'number', name: 'first', min: 0, max: 20, value: 6 },
    { kind: 'number', name: 'second', min: 0, max: 20, value: 0 },
    { kind: 'number', name: 'tray', min: 5, max: 30, value: 12 },
  ],
  make(values, settings, say) {
    const places = PLACES[values.frame!]!;
    const first = numberOf(values, 'first');
    const second = numberOf(values, 'second');
    const total = first + second;
    if (total > places) return refuse('problem.too-many', { total, places });
    const tray = numberOf(values, 'tray');
    const cover = tray - Math.min(10, places);
    const fromRight = settings.isLeftHanded;
    const draw = (inFirst: number, inSecond: number) => frames({ places, inFirst, inSecond, fromRight });
    const facts: MessageValues = {
      places,
      first,
      second,
      total,
      tray,
      cover,
      lacking: -cover,
      left: places - total,
      oneLess: Math.max(0, total - 1),
      seen: Math.min(5, total),
      side: fromRight ? 'right' : 'left',
      more: cover > 0 ? 'yes' : 'no',
      ...asSeen(total),
    };
    const write = linesAbout(say, facts);
    const isLate = total === 0 && !settings.zeroEarly;
    return ok({
      facts: [
        say('fact.left', facts),
        ...(cover > 0 ? [say('fact.cover', facts)] : cover < 0 ? [say('fact.too-small', facts)] : []),
        ...(isLate ? [say('fact.zero-late')] : []),
      ],
      values: facts,
      turns: { count: places, seconds: 8 },
      picture: draw(first, second),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'ask-2', 'if-1'),
        harder: write('do-3', 'ask-4', 'ask-5'),
      },
      materials: frameMaterials({ total, places, cover, tray }, say),
      actions: [],
      printable: { title: say('printable'), cards: [], sheets: [draw(0, 0), draw(first, second)] },
      key: [say('key', facts)],
    });
  },
};

function frameMaterials(
  { total, places, cover, tray }: { total: number; places: number; cover: number; tray: number },
  say: Say,
): MakerMaterial[] {
  const muffinTray = { item: 'muffin-tray', fit: 0.8, why: say('swap.muffin-tray', { tray, cover }) };
  return [
    lasting('bottle-lid', Math.max(1, total), counterSwaps(say)),
    lasting(places > 5 ? 'egg-carton' : 'paper', places > 10 ? 2 : 1, [
      { item: 'paper', fit: 0.8, why: say('swap.paper') },
      ...(cover >= 0 ? [muffinTray] : []),
    ]),
  ];
}

interface FrameLook {
  readonly places: number;
  readonly inFirst: number;
  readonly inSecond: number;
  readonly fromRight: boolean;
}

function frames({ places, inFirst, inSecond, fromRight }: FrameLook): Drawing {
  if (places <= 10) return tenFrame(places, inFirst, { second: inSecond, fromRight });
  const one = tenFrame(10, Math.min(10, inFirst), {
    second: Math.min(10 - Math.min(10, inFirst), inSecond),
    fromRight,
  });
  const other = tenFrame(10, Math.max(0, inFirst - 10), {
    second: Math.max(0, inFirst + inSecond - 10) - Math.max(0, inFirst - 10),
    fromRight,
  });
  return inRow(fromRight ? [other, one] : [one, other], 8);
}

/** A number as it is seen on frames: by its full frame or row, and what is left over; 0 for what is no sum. */
function asSeen(number: number): { full: number; over: number } {
  const full = number > 10 ? 10 : 5;
  return number > 5 && number !== full ? { full, over: number - full } : { full: 0, over: 0 };
}
