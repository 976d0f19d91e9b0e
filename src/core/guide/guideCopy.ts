import { upgradeFrom, withVersion, type Upgrade, type Versioned } from '../contentVersion.ts';
import { answersKeyWithId } from '../session/index.ts';
import type { Guide, GuideLine, GuideSegment } from './guide.ts';

/** A part as it was sent before levels were whole: one list of lines, and a sentence for easier and harder. */
interface FormerSegment {
  readonly lines: readonly GuideLine[];
  readonly easier?: string | undefined;
  readonly harder?: string | undefined;
  readonly withheld?: readonly string[] | undefined;
}

/** One list of lines becomes what is just right, easier and harder become tips; words stay as they were sent. */
const wholeLevels: Upgrade = (stored: Guide) => ({
  ...stored,
  state: stored.state ?? 'ready',
  books: stored.books ?? [],
  songs: stored.songs ?? [],
  segments: stored.segments.map((segment) => ('levels' in segment ? segment : fromFormer(segment))),
});

/** Answers about a part that a maker wrote were kept under words for how it is run. */
const idsOfWays: Upgrade = (stored: Guide) => ({
  ...stored,
  segments: stored.segments.map((segment) =>
    segment.from === undefined ? segment : { ...segment, from: answersKeyWithId(segment.from) },
  ),
});

const UPGRADES: readonly Upgrade[] = [wholeLevels, idsOfWays];

/** A copy as it was sent, whenever that was, in today's shape. */
export function readGuideCopy(stored: Versioned): Guide {
  return upgradeFrom(stored, UPGRADES);
}

/** A guide as a copy of it is stored. */
export function writeGuideCopy(guide: Guide): Guide & Versioned {
  return withVersion(guide, UPGRADES);
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
