import { LEVELS, type LevelName } from '../session/levelName.ts';
import { daysAhead } from '../calendar/preparation.ts';
import { roundTo } from '../numbers/rounding.ts';
import { type ThingsByKey, namesOf } from '../materials/thing.ts';
import { findCautions, type Caution } from '../cautions/cautions.ts';
import type { CautionPolicy } from '../cautions/rules.ts';
import { childFor, type Home } from '../homes/home.ts';
import { asUsed } from '../homes/household.ts';
import { fetchOf, fitHome, type FittedPart, type HomeFit, type ServedNeed } from '../homes/sessionReadiness.ts';
import type { HomeState } from '../homes/readiness.ts';
import { runSheet } from '../time/runSheet.ts';
import { spreadOf } from '../time/minutes.ts';
import { anotherBook, type KnownBook } from '../shelf/anotherBook.ts';
import { composeSegment, timedParts, writeNote } from './composition.ts';
import { roundUp, type Scope } from '../expressions/expression.ts';
import { isWholeLevel, levelsOf, valuesAt } from '../session/levels.ts';
import type { Segment, Session } from '../session/session.ts';
import { formatPieces, type TemplateScope } from '../expressions/template.ts';

export interface GuideLine {
  readonly kind: Segment['lines'][number]['kind'];
  readonly text: string;
  readonly answer?: string | undefined;
  readonly why?: string | undefined;
}

/** A part written whole at one level. */
export interface GuideLevel {
  readonly lines: readonly GuideLine[];
  /** What the level says beside its lines. */
  readonly note?: string | undefined;
  /** What the fetch list grows by when this part is done at this level. */
  readonly more: readonly { readonly item: string; readonly name: string; readonly qty: number }[];
  /** Likely minutes of the child, to a tenth. */
  readonly minutes: number;
}

export interface GuideSegment {
  readonly id: string;
  readonly title: string;
  readonly kind: Segment['kind'];
  /** The key on the shelf it came from, or the maker that wrote it, for what homes answer. */
  readonly from?: string | undefined;
  /** Nothing of it is for this home: something it cannot do without is not permitted there. */
  readonly leftOut: boolean;
  readonly aim: string;
  /** Likely minutes of the child at the level that was sent, to a tenth. */
  readonly minutes: number;
  readonly setupMinutes: number;
  readonly where: string;
  readonly surface: string;
  readonly seating: string;
  /** The level it was sent at. */
  readonly level: LevelName;
  readonly levels: { readonly [level in LevelName]?: GuideLevel | undefined };
  /** Ways that are a sentence and no level. */
  readonly tips: { readonly easier?: string | undefined; readonly harder?: string | undefined };
  readonly access: string;
  readonly cautions: readonly Caution[];
  /** Things this home is not to use and that nothing replaces. */
  readonly withheld: readonly { readonly item: string; readonly name: string }[];
  /** The dials with what this home's swaps set. */
  readonly dials: Scope;
}

export interface GuideThing {
  readonly item: string;
  readonly name: string;
  readonly qty: number;
  /** The script's own thing, where this home uses another. */
  readonly insteadOf?: string | undefined;
  readonly insteadOfItem?: string | undefined;
  readonly why?: string | undefined;
  readonly source: 'home' | 'kit';
}

/** A book that is read, and what to do when it is not at hand. */
export interface GuideBook {
  readonly title: string;
  /** How to tell it without the book; absent: from the pictures or from memory. */
  readonly retold?: string | undefined;
  /** Another book of the shelf that serves the aim. */
  readonly another?: string | undefined;
}

/** What one home receives: a fixed copy with this home's numbers, things and cautions worked in. */
export interface Guide {
  readonly title: string;
  readonly programme: string;
  readonly on: string;
  readonly at?: string | undefined;
  readonly aim: string;
  readonly home: string;
  readonly state: HomeState;
  readonly children: readonly string[];
  readonly minutes: { readonly likely: number; readonly low: number; readonly high: number };
  readonly setupMinutes: number;
  readonly fetch: readonly GuideThing[];
  readonly books: readonly GuideBook[];
  readonly songs: readonly string[];
  readonly before: readonly { readonly days: number; readonly text: string }[];
  readonly segments: readonly GuideSegment[];
}

export interface GuideInput {
  readonly session: Session;
  readonly home: Home;
  readonly things: ThingsByKey;
  readonly programme: string;
  readonly policy?: CautionPolicy | undefined;
  /** Books of the shelf, to name another one. */
  readonly books?: readonly KnownBook[] | undefined;
}

/** Makes a home's guide from a session. Lines that cannot be written out are left out; a check keeps such a session from being sent. */
export function composeGuide({ session, home, things, programme, policy, books = [] }: GuideInput): Guide {
  const fit = fitHome(session, home, { things, policy });
  const loves = childFor(home, session.ages, session.on)?.loves;
  const done = fit.parts.filter(({ isLeftOut }) => !isLeftOut);
  const { child, setup } = runSheet({
    children: [{ ageMonths: fit.household.youngestMonths }],
    seatedMinutesPerYear: 0,
    segments: done.flatMap((part) =>
      timedParts(composeSegment(part.segment, homeScope(part, part.segment.level, { fit, things, loves }))),
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
    before: done.flatMap((part) => beforeTheDay(part)).sort((left, right) => right.days - left.days),
    segments: fit.parts.map((part) => guideSegment(part, { fit, things, loves })),
  };
}

interface HomeContext {
  readonly fit: HomeFit;
  readonly things: ThingsByKey;
  readonly loves: string | undefined;
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
    title: segment.title,
    kind: segment.kind,
    from: segment.made ? `maker:${segment.made.maker}` : segment.from,
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
    cautions: findCautions(
      {
        ...fit.household,
        items: served.flatMap(({ item, need }) => (item && things[item] ? [asUsed(things[item], need)] : [])),
        actions: segment.actions,
      },
      fit.household.policy,
    ).map((caution) => ({
      ...caution,
      because: caution.because.map((reason) => (things[reason] ? namesOf(reason, things).many : reason)),
    })),
    dials: scope.values,
  };
}

function guideLevel(part: FittedPart, level: LevelName, context: HomeContext): GuideLevel {
  const { segment } = part;
  const scope = homeScope(part, level, context);
  const { lines, together, alone } = composeSegment(segment, scope, level);
  return {
    lines: lines.flatMap(({ line, text, answer }) =>
      text.ok && formatPieces(text.value).trim() !== ''
        ? [
            {
              kind: line.kind,
              text: formatPieces(text.value),
              answer: answer?.ok ? formatPieces(answer.value) : undefined,
              why: line.why,
            },
          ]
        : [],
    ),
    note: level === 'right' ? undefined : writeNote(segment.levels[level], scope),
    more: moreFor(part, level, context),
    minutes: roundTo(spreadOf(together).mean + spreadOf(alone).mean, 1),
  };
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

/** The fetch list: quantities by thing over the whole session, as this home has them. */
function thingsToFetch(fit: HomeFit, things: ThingsByKey): GuideThing[] {
  const all = fit.parts.filter(({ isLeftOut }) => !isLeftOut).flatMap(({ served }) => served);
  return fetchOf(fit).map(({ item, qty }): GuideThing => {
    const uses = all.filter((use) => use.item === item && use.qty > 0);
    const swapped = uses.find(({ swap }) => swap);
    return {
      item,
      name: nameFor(item, qty, things),
      qty,
      insteadOf: swapped && namesOf(swapped.need.item, things).many,
      insteadOfItem: swapped?.need.item,
      why: swapped?.swap?.why || undefined,
      source: uses.some(({ source }) => source === 'kit') ? 'kit' : 'home',
    };
  });
}

function nameFor(item: string, qty: number, things: ThingsByKey): string {
  const names = namesOf(item, things);
  return qty === 1 ? names.one : names.many;
}

/** What a home does before the day: only for things that it uses from what it has. */
function beforeTheDay({ segment, served }: FittedPart): { days: number; text: string }[] {
  const usesOwn = ({ need, item }: { readonly need: string; readonly item?: string | undefined }) =>
    served.some((use: ServedNeed) => {
      const wanted = item ?? use.need.item;
      return use.need.id === need && use.source === 'home' && use.item === wanted && use.qty > 0;
    });
  return segment.ahead
    .filter(({ who, for: target }) => who === 'home' && (!target || usesOwn(target)))
    .map((entry) => ({ days: daysAhead(entry), text: entry.text }));
}
