import type { Guide, GuideLine, GuideSegment } from './guide.ts';

/** A part as it was sent before levels were whole: one list of lines, and a sentence for easier and harder. */
interface FormerSegment {
  readonly lines: readonly GuideLine[];
  readonly easier?: string | undefined;
  readonly harder?: string | undefined;
  readonly withheld?: readonly string[] | undefined;
}

/**
 * A copy as it was sent, whenever that was. Copies of before stay word for word as they were: their one list of lines
 * is what is just right, their easier and harder are tips.
 */
export function readGuideCopy(stored: Guide): Guide {
  return {
    ...stored,
    state: stored.state ?? 'ready',
    books: stored.books ?? [],
    songs: stored.songs ?? [],
    segments: stored.segments.map((segment) => ('levels' in segment ? segment : fromFormer(segment))),
  };
}

function fromFormer(stored: GuideSegment): GuideSegment {
  const { lines, easier, harder, withheld = [], ...segment } = stored as unknown as FormerSegment & GuideSegment;
  return {
    ...segment,
    leftOut: false,
    aim: '',
    setupMinutes: 0,
    surface: '',
    level: 'right',
    levels: { right: { lines, more: [], minutes: segment.minutes } },
    tips: { easier, harder },
    withheld: withheld.map((name) => ({ item: name as string, name: name as string })),
    dials: {},
  };
}
