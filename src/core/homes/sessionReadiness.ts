import type { LevelName } from '../session/levelName.ts';
import type { Need, Swap } from '../materials/need.ts';
import type { ThingsByKey } from '../materials/thing.ts';
import { stoppedActions } from '../cautions/cautions.ts';
import { USUAL_POLICY, type CautionPolicy } from '../cautions/rules.ts';
import { tallyThings } from '../materials/materials.ts';
import type { StockItem } from '../materials/swaps.ts';
import type { Scope } from '../expressions/expression.ts';
import { quantityAt, valuesAt } from '../session/levels.ts';
import type { Segment, Session } from '../session/session.ts';
import { bestPicks, preparePart, type PartPicks, type PreparedPart } from './bestPicks.ts';
import type { Home } from './home.ts';
import { householdOn, isPermitted, type Household } from './household.ts';
import { safetyAt } from './partSafety.ts';
import { type SessionSafety } from './partQuestions.ts';
import { agree, amountOf, type NeedToServe, type PartToServe, type ServingOption } from './partWays.ts';
import { summariseReadiness, type HomeReadiness, type Readiness } from './readiness.ts';

/** What serves one need at a home. */
export interface ServedNeed {
  readonly id: string;
  readonly need: Need;
  /** What this home uses; null when nothing is permitted. */
  readonly item: string | null;
  /** The swap that it uses, where it is not what the script says. */
  readonly swap?: Swap | undefined;
  /** From what the home has, in a bag that the programme gives out, missing there, or not at all because nothing is permitted. */
  readonly source: 'home' | 'kit' | 'missing' | 'withheld';
  /** How many of it, not rounded. */
  readonly qty: number;
  /** Hollows or places of what is used, where it has any. */
  readonly places?: number | undefined;
}

/** One part of a session as one home does it. */
export interface FittedPart {
  readonly segment: Segment;
  /** The home does it without this part: something it cannot do without is not permitted there. */
  readonly isLeftOut: boolean;
  /** Actions and rules that are stopped for somebody in the room; empty unless they leave the part out. */
  readonly stopped: readonly string[];
  /** The words of its lines that are. */
  readonly stoppedWords: readonly string[];
  /** Cautions that its words call for, beside those of its things and actions. */
  readonly said: readonly string[];
  /** What the picked things set; it goes before any level's dials. */
  readonly sets: Scope;
  readonly served: readonly ServedNeed[];
}

/** One home against one session: what serves, what is lacking, what it may not have. */
export interface HomeFit {
  readonly home: Home;
  readonly household: Household;
  readonly parts: readonly FittedPart[];
  readonly answer: HomeReadiness;
  readonly kit: readonly { need: string; item: string; qty: number }[];
  /** What the home has not and nobody gives out. */
  readonly missing: readonly { need: string; item: string; qty: number }[];
}

/** How a home does a session, for an author: a home that lacks nothing but must do without a part needs no kit. */
export type HomeOutcome = 'ready' | 'swaps' | 'kit' | 'lacks' | 'without';

/** How a home does a session; `lacks` where nobody gives out what it has not, `without` where it goes without a part or a thing and no kit would help. */
export function outcomeOf({ answer, kit, missing }: Pick<HomeFit, 'answer' | 'kit' | 'missing'>): HomeOutcome {
  if (answer.state !== 'short') return answer.state;
  if (missing.length > 0) return 'lacks';
  return kit.length > 0 ? 'kit' : 'without';
}

/** What a fit needs to know beside the session and the home. */
export interface FitSettings {
  readonly things: ThingsByKey;
  readonly policy?: CautionPolicy | undefined;
  /** What was decided about what its words call for; absent: nothing. */
  readonly safety?: SessionSafety | undefined;
}

/** The id a need has within its session: "segment/need". */
export function needIdIn(segment: Pick<Segment, 'id'>, need: Pick<Need, 'id'>): string {
  return `${segment.id}/${need.id}`;
}

/** A part with what its needs may be served with at a home, before any stock is looked at. */
export function partFor(segment: Segment, household: Household, things: ThingsByKey): PartToServe {
  return {
    id: segment.id,
    values: valuesAt(segment, segment.level),
    children: household.children,
    needs: segment.needs.map((need) => needToServe(segment, need, { household, things })),
  };
}

function needToServe(
  segment: Segment,
  need: Need,
  { household, things }: { household: Household; things: ThingsByKey },
): NeedToServe {
  const written: ServingOption = { item: need.item, place: 0, fit: 1, sets: {} };
  const swaps = need.swaps.map(({ item, fit, sets, qty }, index): ServingOption => {
    const places = Object.hasOwn(things, item) ? things[item]!.places : undefined;
    return { item, place: index + 1, fit, sets: sets ?? {}, qty, places };
  });
  return {
    id: needIdIn(segment, need),
    use: need.use,
    per: need.per,
    qty: quantityAt(segment, need, segment.level),
    options: [written, ...swaps].filter(({ item }) => isPermitted(item, need, things, household)),
  };
}

/**
 * Fits a session to one home: quantities for its children, things withheld for its youngest and its allergies, the
 * best swaps from what it has, everything counted with the dials as those swaps set them. A part that the home cannot
 * do is left out and takes nothing.
 */
export function fitHome(
  session: Pick<Session, 'segments' | 'on'>,
  home: Home,
  { things, policy, safety }: FitSettings,
): HomeFit {
  const household = householdOn(home, session.on, policy ?? USUAL_POLICY);
  const prepared = session.segments.map((segment) => preparePart(partFor(segment, household, things)));
  const safeties = session.segments.map((segment) => safetyAt(segment, things, { household, safety }));
  const stopped = session.segments.map(({ actions }, index) => [
    ...new Set([...stoppedActions(actions, household, household.policy), ...safeties[index]!.stops]),
  ]);
  const isLeftOut = session.segments.map(
    (segment, index) => stopped[index]!.length > 0 || lacksPermission(segment, prepared[index]!),
  );
  const picks = picksOf(prepared, isLeftOut, home.stock);
  const served = session.segments.map((segment, index): FittedPart => {
    const { sets, served } = servePart(segment, prepared[index]!, { picks: picks[index]!, household });
    const { said, words: stoppedWords } = safeties[index]!;
    return { segment, isLeftOut: isLeftOut[index]!, stopped: stopped[index]!, stoppedWords, said, sets, served };
  });
  const parts = asGivenOut(served, things);
  const from = (wanted: ServedNeed['source']) =>
    parts
      .filter((part) => !part.isLeftOut)
      .flatMap((part) =>
        part.served.flatMap(({ id, item, qty, source }) => (source === wanted ? [{ need: id, item: item!, qty }] : [])),
      );
  return { home, household, parts, kit: from('kit'), missing: from('missing'), answer: readinessOf(home, parts) };
}

/** A bag is promised only for what the programme gives out, and only where that reaches for the whole session. */
function asGivenOut(parts: readonly FittedPart[], things: ThingsByKey): FittedPart[] {
  const wanted = new Map(kitOf(parts).map(({ item, qty }) => [item, qty]));
  const isGivenOut = (item: string) => (wanted.get(item) ?? 0) <= (things[item]?.givesOut ?? 0);
  return parts.map((part) => ({
    ...part,
    served: part.served.map((served) =>
      served.source === 'kit' && !isGivenOut(served.item!) ? { ...served, source: 'missing' } : served,
    ),
  }));
}

/** Parts that are left out are picked by themselves, so that they take nothing from the others. */
function picksOf(
  prepared: readonly PreparedPart[],
  isLeftOut: readonly boolean[],
  stock: readonly StockItem[],
): PartPicks[] {
  const doneParts = prepared.filter((_, index) => !isLeftOut[index]);
  const done = bestPicks(doneParts, stock);
  let at = 0;
  return prepared.map((part, index) => (isLeftOut[index] ? bestPicks([part], stock)[0]! : done[at++]!));
}

/** A need that the part cannot do without has nothing that is permitted. */
export function lacksPermission(segment: Segment, { part }: PreparedPart): boolean {
  return segment.needs.some((need, index) => !need.optional && part.needs[index]!.options.length === 0);
}

function servePart(
  segment: Segment,
  { part }: PreparedPart,
  { picks, household }: { picks: PartPicks; household: Household },
): { sets: Scope; served: ServedNeed[] } {
  let sets: Scope = {};
  const chosen = part.needs.map(({ options }, index) => {
    const place = picks.places[index];
    const option = options.find((candidate) => candidate.place === place);
    if (option) sets = { ...sets, ...option.sets };
    return option;
  });
  const kits = part.needs.map(({ options }, index) => {
    if (chosen[index]) return undefined;
    const option = options.find((candidate) => agree(sets, candidate.sets));
    if (option) sets = { ...sets, ...option.sets };
    return option;
  });
  const values = { ...part.values, ...sets };
  const served = segment.needs.map((need, index): ServedNeed => {
    const toServe = part.needs[index]!;
    const option = chosen[index] ?? kits[index];
    if (!option) return { id: toServe.id, need, item: null, source: 'withheld', qty: 0 };
    return {
      id: toServe.id,
      need,
      item: option.item,
      swap: option.place === 0 ? undefined : need.swaps[option.place - 1],
      source: chosen[index] ? 'home' : 'kit',
      places: option.places,
      qty: amountOf(option, { need: toServe, values, children: household.children }) ?? 0,
    };
  });
  return { sets, served };
}

function readinessOf(home: Home, parts: readonly FittedPart[]): HomeReadiness {
  const done = parts.filter(({ isLeftOut }) => !isLeftOut).flatMap(({ served }) => served);
  const missing = parts
    .flatMap(({ isLeftOut, served }) => (isLeftOut ? served.filter(({ source }) => source === 'withheld') : served))
    .filter(({ source }) => source !== 'home')
    .map(({ id }) => id);
  const isLeftOut = parts.some((part) => part.isLeftOut);
  const isAsWritten = done.every(({ item, need }) => item === need.item);
  return {
    id: home.id,
    state: missing.length > 0 || isLeftOut ? 'short' : isAsWritten ? 'ready' : 'swaps',
    missing,
    picks: parts.flatMap(({ served }) =>
      served.map(({ id, item, source }) => ({ need: id, item: source === 'home' ? item : null })),
    ),
  };
}

/** What a home fetches: by thing, used-up quantities added, lasting ones laid out again. Parts may be taken at another level. */
export function fetchOf(
  fit: Pick<HomeFit, 'parts' | 'household'>,
  levelOf?: ReadonlyMap<string, LevelName>,
): StockItem[] {
  const uses = fit.parts
    .filter(({ isLeftOut }) => !isLeftOut)
    .flatMap((part) => {
      const level = levelOf?.get(part.segment.id) ?? part.segment.level;
      return part.served.flatMap((served) => {
        const qty =
          level === part.segment.level ? served.qty : amountAt(part, served, { level, household: fit.household });
        return served.item === null ? [] : [{ segment: part.segment.id, item: served.item, use: served.need.use, qty }];
      });
    });
  return tallyThings(uses).filter(({ qty }) => qty > 0);
}

/** How many of what serves a need another level of its part asks for. */
function amountAt(
  { segment, sets }: FittedPart,
  { need, swap, places }: ServedNeed,
  { level, household }: { level: LevelName; household: Household },
): number {
  const values = { ...valuesAt(segment, level), ...sets };
  const amount = amountOf(
    { qty: swap?.qty, places },
    { need: { qty: quantityAt(segment, need, level), per: need.per }, values, children: household.children },
  );
  return amount ?? 0;
}

/** How many homes can do a session, and each one's fit. */
export function fitHomes(
  session: Pick<Session, 'segments' | 'on'>,
  homes: readonly Home[],
  settings: FitSettings,
): { fits: readonly HomeFit[]; readiness: Readiness } {
  const fits = homes.map((home) => fitHome(session, home, settings));
  return { fits, readiness: readinessOfAll(fits) };
}

/** How many homes can do a session, from each one's fit. */
export function readinessOfAll(fits: readonly HomeFit[]): Readiness {
  return summariseReadiness(fits.map(({ answer, parts }) => ({ answer, kit: kitOf(parts) })));
}

/** A home's kit by thing, counted as fetch lists are. */
function kitOf(parts: readonly FittedPart[]): StockItem[] {
  return tallyThings(
    parts
      .filter(({ isLeftOut }) => !isLeftOut)
      .flatMap(({ segment, served }) =>
        served.flatMap(({ item, qty, need, source }) =>
          source === 'kit' ? [{ segment: segment.id, item: item!, use: need.use, qty }] : [],
        ),
      ),
  );
}
