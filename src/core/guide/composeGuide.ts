import { daysBetween, dueBy, leadOf, type OpenDays } from '../calendar/index.ts';
import {
  asUsed,
  childFor,
  fitHome,
  type FittedPart,
  type Home,
  type ServedNeed,
  type SessionSafety,
} from '../homes/index.ts';
import { type CautionPolicy, findCautions } from '../cautions/index.ts';
import { runSheet, spreadOf } from '../time/index.ts';
import { roundTo } from '../numbers/index.ts';
import {
  aheadWith,
  answersKey,
  isWholeLevel,
  type LevelName,
  LEVELS,
  levelsOf,
  type MakerSource,
  type Segment,
  type Session,
} from '../session/index.ts';
import { timedParts, composeSegment, writeNote } from './composition.ts';
import { guideLevel, homeScope, type HomeContext } from './homeLevels.ts';
import { lackedIn, withoutBooks } from './withoutThings.ts';
import { missingIn, thingsToFetch } from './fetchList.ts';
import type { Guide, GuideSegment, GuidePicture } from './guide.ts';
import { anotherBook, type KnownBook } from '../shelf/index.ts';
import type { Speech } from '../message.ts';
import { namesOf, type ThingsByKey } from '../materials/index.ts';

/** What a home's guide is put together from. */
export interface GuideInput {
  readonly session: Session;
  readonly home: Home;
  readonly things: ThingsByKey;
  readonly programme: string;
  readonly policy?: CautionPolicy | undefined;
  /** Whether a common thing that the home was not asked about counts as there. */
  readonly assumeCommon?: boolean | undefined;
  /** What was decided about what the words call for; absent: nothing. */
  readonly safety?: SessionSafety | undefined;
  /** The sentences of the home's language; what has none in it stays as the author has it. */
  readonly speech: Speech;
  /** The language of authors, BCP 47. */
  readonly authorLanguage: string;
  /** What parts of makers look like, by what they were made from; without it no part has a picture. */
  readonly pictureOf?: ((source: MakerSource) => GuidePicture | undefined) | undefined;
  /** The sounds that parts of makers say by themselves; without it no part has any. */
  readonly soundsOf?: ((source: MakerSource) => GuideSegment['sounds']) | undefined;
  /** The days nobody works, as they are for what an author has to do; absent: Saturday and Sunday. */
  readonly openDays?: OpenDays | undefined;
  /** Books of the shelf, to name another one. */
  readonly books?: readonly KnownBook[] | undefined;
  /** The home has no book at hand: what happens in it is told. */
  readonly isWithoutBook?: boolean | undefined;
  /** What the home said on its guide that it has not got, by key: a part that cannot do without it waits. */
  readonly lacks?: readonly string[] | undefined;
}

/** Makes a home's guide from a session. Lines that cannot be written out are left out; a check keeps such a session from being sent. */
export function composeGuide(input: GuideInput): Guide {
  const { home, things, programme, policy, safety, books = [], speech, authorLanguage, lacks = [] } = input;
  const session = input.isWithoutBook ? withoutBooks(input.session, speech) : input.session;
  const fitted = fitHome(session, home, { things, policy, safety, assumeCommon: input.assumeCommon });
  const lacked = new Map(fitted.parts.map((part) => [part.segment.id, lackedIn(part, fitted, lacks, things)]));
  const waits = ({ segment }: FittedPart) => lacked.get(segment.id)!.length > 0;
  const fit = {
    ...fitted,
    parts: fitted.parts.map((part) => (waits(part) ? { ...part, isLeftOut: true } : part)),
  };
  const { pictureOf, soundsOf } = input;
  const hasTwo = home.children.length > 1;
  const context: HomeContext = {
    fit,
    things,
    child: childFor(home, session.ages, session.on),
    speech,
    authorLanguage,
    hasTwo,
    pictureOf,
    soundsOf,
    lacked,
    hasLittleOne: hasTwo && fit.household.youngestMonths < Math.min(LITTLE_MONTHS, session.ages.fromMonths),
  };
  const done = fit.parts.filter(({ isLeftOut }) => !isLeftOut);
  const { child, setup } = runSheet({
    children: [{ ageMonths: fit.household.youngestMonths }],
    seatedMinutesPerYear: 0,
    segments: done.flatMap((part) =>
      timedParts(composeSegment(part.segment, homeScope(part, part.segment.level, context))),
    ),
  });
  return {
    title: session.title,
    programme,
    on: session.on,
    at: session.at,
    aim: session.aim,
    home: home.nickname,
    state: fit.answer.state,
    isProved: fit.isProved,
    children: home.children.map(({ nickname }) => nickname),
    minutes: { likely: child.mean, low: child.low, high: child.high },
    setupMinutes: setup.mean,
    fetch: thingsToFetch(fit, things),
    books: done
      .filter(({ segment }) => segment.kind === 'book')
      .map(({ segment }) => ({
        title: segment.title,
        retold: segment.retold,
        another: anotherBook(segment, books),
      })),
    songs: done.filter(({ segment }) => segment.kind === 'song').map(({ segment }) => segment.title),
    before: done
      .flatMap((part) => beforeTheDay(part, session, input.openDays ?? USUAL_WEEK))
      .sort((left, right) => right.days - left.days),
    segments: fit.parts.map((part) => guideSegment(part, context)),
  };
}

/** A child below this age needs something of its own to do. */
const LITTLE_MONTHS = 36;

function guideSegment(part: FittedPart, context: HomeContext): GuideSegment {
  const { segment, served } = part;
  const levelAt = (level: LevelName) => guideLevel(part, level, context);
  const offered = levelsOf(segment);
  const levels = Object.fromEntries(
    LEVELS.filter((level) => offered.includes(level)).map((level) => [level, levelAt(level)]),
  );
  const scope = homeScope(part, segment.level, context);
  const tipOf = (level: 'easier' | 'harder') =>
    isWholeLevel(segment.levels[level]) ? undefined : writeNote(segment.levels[level], scope);
  const { setup } = composeSegment(segment, scope);
  const { things, fit } = context;
  return {
    id: segment.id,
    ...titleOf(segment, context),
    kind: segment.kind,
    from: segment.from ?? (segment.made && answersKey(segment.made)),
    picture: segment.made && context.pictureOf?.(segment.made),
    ...soundsIn(segment, context),
    leftOut: part.isLeftOut,
    ...waitsFor(segment, context),
    ...meanwhileIn(segment, context),
    aim: segment.aim,
    minutes: levels[segment.level]?.minutes ?? levelAt(segment.level).minutes,
    setupMinutes: roundTo(spreadOf(setup).mean, 1),
    where: segment.where,
    surface: segment.surface,
    seating: segment.seating,
    level: offered.includes(segment.level) ? segment.level : 'right',
    levels,
    tips: { easier: tipOf('easier'), harder: tipOf('harder') },
    access: segment.access,
    withheld: served
      .filter(({ source }) => source === 'withheld')
      .map(({ need }) => ({ item: need.item, name: namesOf(need.item, things).many })),
    ...missingIn(part, context),
    cautions: findCautions(
      {
        ...fit.household,
        items: served.flatMap(({ item, need }) => (item && things[item] ? [asUsed(things[item], need)] : [])),
        actions: [...new Set([...segment.actions, ...part.said])],
      },
      fit.household.policy,
    ).map((caution) => ({
      ...caution,
      because: caution.because.map((reason) => (things[reason] ? namesOf(reason, things).many : reason)),
    })),
    dials: scope.values,
  };
}

/** What a part waits for that the home said it has not got. */
function waitsFor({ id }: Segment, { lacked }: HomeContext): Pick<GuideSegment, 'waitsFor'> {
  const names = lacked.get(id) ?? [];
  return names.length > 0 ? { waitsFor: names } : {};
}

/** What the smaller child does meanwhile, where nobody wrote that down. */
function meanwhileIn({ kind, lines }: Segment, { hasLittleOne, speech }: HomeContext): Pick<GuideSegment, 'meanwhile'> {
  if (!hasLittleOne || lines.some(({ role }) => role === 'younger')) return {};
  const said = speech.find(`framing/meanwhile-${kind}`);
  return said ? { meanwhile: said } : {};
}

/** The sounds of a part, where it says any. */
function soundsIn({ made }: Segment, { soundsOf }: HomeContext): Pick<GuideSegment, 'sounds'> {
  const sounds = (made && soundsOf?.(made)) ?? [];
  return sounds.length > 0 ? { sounds } : {};
}

/** A title as it was said from a message, in the home's language; otherwise as the author has it. */
function titleOf(
  { title, says }: Segment,
  { speech, authorLanguage }: HomeContext,
): Pick<GuideSegment, 'title' | 'lang'> {
  const said = says && speech.find(says.key, says.values);
  return said ? { title: said, lang: speech.language } : { title, lang: authorLanguage };
}

const USUAL_WEEK: OpenDays = { weekend: [6, 7], closed: [] };

/** What a home does before the day: only for things that it uses from what it has. */
function beforeTheDay(
  { segment, served }: FittedPart,
  { on, at }: Pick<Session, 'on' | 'at'>,
  openDays: OpenDays,
): { days: number; text: string }[] {
  const usesOwn = ({ need, item }: { readonly need: string; readonly item: string }) =>
    served.some((use: ServedNeed) => use.need.id === need && use.source === 'home' && use.item === item && use.qty > 0);
  return segment.ahead
    .filter((entry) => {
      const target = aheadWith(segment, entry);
      return entry.who === 'home' && (target ? usesOwn(target) : !entry.for);
    })
    .map((entry) => {
      const by = dueBy(leadOf(segment.id, entry), { on, at, ...openDays });
      return { days: daysBetween(by.slice(0, 10), on), text: entry.text };
    });
}
