import { daysBetween, dueBy, leadOf, type OpenDays } from '../calendar/index.ts';
import {
  asUsed,
  childFor,
  fetchOf,
  fitHome,
  type FittedPart,
  type Home,
  type HomeFit,
  type ServedNeed,
  type SessionSafety,
} from '../homes/index.ts';
import { type CautionPolicy, findCautions } from '../cautions/index.ts';
import { runSheet, spreadOf } from '../time/index.ts';
import { roundTo } from '../numbers/index.ts';
import { formatPieces, roundUp, type TemplateScope } from '../expressions/index.ts';
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
  valuesAt,
} from '../session/index.ts';
import { timedParts, composeSegment, writeNote, type ComposedLine } from './composition.ts';
import { missingIn, nameFor, thingsToFetch } from './fetchList.ts';
import type { Guide, GuideSegment, GuideLevel, GuideLine, GuidePicture } from './guide.ts';
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
}

/** Makes a home's guide from a session. Lines that cannot be written out are left out; a check keeps such a session from being sent. */
export function composeGuide(input: GuideInput): Guide {
  const { session, home, things, programme, policy, safety, books = [], speech, authorLanguage } = input;
  const fit = fitHome(session, home, { things, policy, safety, assumeCommon: input.assumeCommon });
  const loves = childFor(home, session.ages, session.on)?.loves;
  const { pictureOf, soundsOf } = input;
  const hasTwo = home.children.length > 1;
  const context: HomeContext = { fit, things, loves, speech, authorLanguage, hasTwo, pictureOf, soundsOf };
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

interface HomeContext {
  readonly fit: HomeFit;
  readonly things: ThingsByKey;
  readonly loves: string | undefined;
  readonly speech: Speech;
  readonly authorLanguage: string;
  /** Whether there are two children or more, so that one can do this and another that. */
  readonly hasTwo: boolean;
  readonly pictureOf: GuideInput['pictureOf'];
  readonly soundsOf: GuideInput['soundsOf'];
}

/** What lines may refer to at this home: its own things by name and number, and the dials as its swaps set them. */
function homeScope(part: FittedPart, level: LevelName, { fit, things, loves }: HomeContext): TemplateScope {
  const amounts = new Map(amountsAt(part, level, fit));
  return {
    values: { ...valuesAt(part.segment, level), ...part.sets },
    things: Object.fromEntries(
      part.served.map(({ need, item, id }) => [
        need.id,
        { ...namesOf(item ?? need.item, things), qty: roundUp(amounts.get(id) ?? 0) },
      ]),
    ),
    loves,
  };
}

/** How many of what serves each need a level asks for, by the need's id in the session. */
function amountsAt(part: FittedPart, level: LevelName, { household }: HomeFit): [string, number][] {
  return part.served.map((served) => {
    const alone = { household, parts: [{ ...part, isLeftOut: false, served: [served] }] };
    const [total] = fetchOf(alone, new Map([[part.segment.id, level]]));
    return [served.id, total?.qty ?? 0];
  });
}

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

/** The sounds of a part, where it says any. */
function soundsIn({ made }: Segment, { soundsOf }: HomeContext): Pick<GuideSegment, 'sounds'> {
  const sounds = (made && soundsOf?.(made)) ?? [];
  return sounds.length > 0 ? { sounds } : {};
}

function guideLevel(part: FittedPart, level: LevelName, context: HomeContext): GuideLevel {
  const { segment } = part;
  const scope = homeScope(part, level, context);
  const { lines, together, alone, wait } = composeSegment(segment, scope, level);
  const spared = sparedIn(part);
  return {
    lines: withWait(
      lines.filter((line) => !isOnlyAbout(line, spared)).map((line) => ({ line, said: guideLine(line, context) })),
      { after: segment.waitAfter, minutes: Math.round(spreadOf(wait ?? [0, 0, 0]).mean) },
    ),
    note: level === 'right' ? undefined : writeNote(segment.levels[level], scope),
    more: moreFor(part, level, context),
    minutes: roundTo(spreadOf(together).mean + spreadOf(alone).mean, 1),
  };
}

/** Lines with the minutes that something waits behind the line that it waits after, or behind the last that is done where that one is not said. */
function withWait(
  lines: readonly { readonly line: ComposedLine; readonly said: readonly GuideLine[] }[],
  { after, minutes }: { readonly after: string | undefined; readonly minutes: number },
): GuideLine[] {
  const told = lines.filter(({ said }) => said.length > 0);
  const waiting =
    told.find(({ line }) => line.line.id === after) ?? told.findLast(({ line }) => line.line.kind === 'do');
  return told.flatMap(({ line, said }) =>
    minutes > 0 && line === waiting?.line ? said.map((one) => ({ ...one, wait: minutes })) : said,
  );
}

/** Needs that this home does the part without, because it can be done so. */
function sparedIn({ served }: FittedPart): ReadonlySet<string> {
  return new Set(served.filter(({ item, need }) => item === null && need.optional).map(({ need }) => need.id));
}

/** Whether a line speaks of things, and of none but these. */
function isOnlyAbout({ text, answer }: ComposedLine, needs: ReadonlySet<string>): boolean {
  const named = [text, answer].flatMap((said) =>
    said?.ok ? said.value.flatMap((piece) => (piece.kind === 'thing' ? [piece.need] : [])) : [],
  );
  return named.length > 0 && named.every((need) => needs.has(need));
}

/** A title as it was said from a message, in the home's language; otherwise as the author has it. */
function titleOf(
  { title, says }: Segment,
  { speech, authorLanguage }: HomeContext,
): Pick<GuideSegment, 'title' | 'lang'> {
  const said = says && speech.find(says.key, says.values);
  return said ? { title: said, lang: speech.language } : { title, lang: authorLanguage };
}

/** A line in the home's language where it was said from a message, otherwise in the author's words; none where it cannot be written out. */
function guideLine({ line, text, answer }: ComposedLine, context: HomeContext): GuideLine[] {
  const { speech, authorLanguage, hasTwo } = context;
  const { kind, why, says, role } = line;
  if (role && !hasTwo) return [];
  const whose = role && { role };
  const said = says && speech.language !== authorLanguage ? speech.find(says.key, says.values) : null;
  if (says && said !== null) {
    const ownWords = (why && speech.find('framing/own', { text: { own: why } })) ?? why;
    const part = (name: string) => speech.find(`${says.key}.${name}`, says.values) ?? undefined;
    return [
      { kind, text: said, answer: part('answer'), why: part('why') ?? ownWords, lang: speech.language, ...whose },
    ];
  }
  if (!text.ok || formatPieces(text.value).trim() === '') return [];
  const expected = answer?.ok ? formatPieces(answer.value) : undefined;
  return [{ kind, text: formatPieces(text.value), answer: expected, why, lang: authorLanguage, ...whose }];
}

/** What the fetch list grows by if only this part changes to a level. */
function moreFor(part: FittedPart, level: LevelName, { fit, things }: HomeContext): GuideLevel['more'] {
  if (part.isLeftOut || level === part.segment.level) return [];
  const now = new Map(fetchOf(fit).map(({ item, qty }) => [item, qty]));
  return fetchOf(fit, new Map([[part.segment.id, level]])).flatMap(({ item, qty }) => {
    const more = qty - (now.get(item) ?? 0);
    return more > 0 ? [{ item, name: nameFor(item, more, things), qty: more }] : [];
  });
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
