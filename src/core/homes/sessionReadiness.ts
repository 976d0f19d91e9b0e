import {
  type Need,
  type NeedToServe,
  optionsOf,
  type PartToServe,
  type PreparedPart,
  preparePart,
  type ServedPart,
  serveParts,
  type StockItem,
  type ThingsByKey,
} from '../materials/index.ts';
import { type CautionPolicy, stoppedActions, USUAL_POLICY } from '../cautions/index.ts';
import { quantityAt, type Segment, type Session, valuesAt } from '../session/index.ts';
import type { Home } from './home.ts';
import { assumedAt } from './assumed.ts';
import { kitOf } from './fetching.ts';
import type { FittedPart, HomeFit, ServedNeed } from './homeFit.ts';
import { householdOn, isPermitted, nameOfHousehold, type Household } from './household.ts';
import { safetyAt } from './partSafety.ts';
import { type SessionSafety } from './partQuestions.ts';
import { stateOf, summariseReadiness, type HomeReadiness, type Readiness } from './readiness.ts';

/** What a fit needs to know beside the session and the home. */
export interface FitSettings {
  readonly things: ThingsByKey;
  readonly policy?: CautionPolicy | undefined;
  /** What was decided about what its words call for; absent: nothing. */
  readonly safety?: SessionSafety | undefined;
  /** Whether a common thing that a home was not asked about counts as there. Absent: it does not. */
  readonly assumeCommon?: boolean | undefined;
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
  return {
    id: needIdIn(segment, need),
    use: need.use,
    per: need.per,
    qty: quantityAt(segment, need, segment.level),
    optional: need.optional,
    options: optionsOf(need, things).filter(({ item }) => isPermitted(item, need, things, household)),
  };
}

/**
 * Fits a session to one home: quantities for its children, things withheld for its youngest and its allergies, the
 * best swaps from what it has, everything counted with the dials as those swaps set them. A part that the home cannot
 * do is left out and takes nothing.
 */
export function fitHome(session: Pick<Session, 'segments' | 'on'>, home: Home, settings: FitSettings): HomeFit {
  return sessionFitter(session, settings)(home);
}

/** The things that could serve anything in a session at any home, by key; what else homes have makes no difference to it. */
export function itemsServing(session: Pick<Session, 'segments'>, things: ThingsByKey): string[] {
  const items = session.segments.flatMap(({ needs }) =>
    needs.flatMap((need) => optionsOf(need, things).map(({ item }) => item)),
  );
  return [...new Set(items)];
}

/** A session as a household may do it, before anybody looks at what is there. */
interface InRoom {
  readonly household: Household;
  readonly prepared: readonly PreparedPart[];
  readonly safeties: readonly ReturnType<typeof safetyAt>[];
  readonly stopped: readonly (readonly string[])[];
  readonly isLeftOut: readonly boolean[];
  /** The things that could serve anything. */
  readonly wanted: ReadonlySet<string>;
  /** What was worked out for it, by what a home has of those things. */
  readonly known: Map<string, HomeFit>;
}

/**
 * Fits one session to one home after the other, each as `fitHome` does. What is the same for homes that are alike is worked
 * out once: for households of the same ages, allergies and number of children, and of those for homes that have the same of
 * what the session could use. Such homes share their household and parts as objects. It remembers as long as it is kept.
 */
export function sessionFitter(
  session: Pick<Session, 'segments' | 'on'>,
  settings: FitSettings,
): (home: Home) => HomeFit {
  const rooms = new Map<string, InRoom>();
  return (home) => {
    const household = householdOn(home, session.on, settings.policy ?? USUAL_POLICY);
    const roomName = nameOfHousehold(household);
    const room = rooms.get(roomName) ?? inRoom(session, household, settings);
    rooms.set(roomName, room);
    const stock = home.stock.filter(({ item }) => room.wanted.has(item));
    const hasNot = (home.hasNot ?? []).filter((item) => room.wanted.has(item));
    const has = JSON.stringify([stock.map(({ item, qty }) => [item, qty]), hasNot]);
    const known = room.known.get(has);
    if (known) return { ...known, home, answer: { ...known.answer, id: home.id } };
    const fit = fitInRoom(session, { ...home, stock, hasNot }, room, settings);
    room.known.set(has, fit);
    return { ...fit, home };
  };
}

function inRoom(
  session: Pick<Session, 'segments' | 'on'>,
  household: Household,
  { things, safety }: FitSettings,
): InRoom {
  const prepared = session.segments.map((segment) => preparePart(partFor(segment, household, things)));
  const safeties = session.segments.map((segment) => safetyAt(segment, things, { household, safety }));
  const stopped = session.segments.map(({ actions }, index) => [
    ...new Set([...stoppedActions(actions, household, household.policy), ...safeties[index]!.stops]),
  ]);
  const isLeftOut = session.segments.map(
    (segment, index) => stopped[index]!.length > 0 || lacksPermission(segment, prepared[index]!),
  );
  const wanted = new Set(
    prepared.flatMap(({ part }) => part.needs.flatMap(({ options }) => options.map(({ item }) => item))),
  );
  return { household, prepared, safeties, stopped, isLeftOut, wanted, known: new Map() };
}

function fitInRoom(
  session: Pick<Session, 'segments'>,
  home: Home,
  { household, prepared, safeties, stopped, isLeftOut }: InRoom,
  { things, assumeCommon = false }: FitSettings,
): HomeFit {
  const assumed = assumeCommon ? assumedAt(home, prepared, things) : [];
  const { parts: done, isProved } = serveDone(prepared, isLeftOut, [...home.stock, ...assumed]);
  const isAssumed = new Set(assumed.map(({ item }) => item));
  const served = session.segments.map((segment, index): FittedPart => {
    const { sets, needs } = done[index]!;
    const { said, words: stoppedWords } = safeties[index]!;
    const ofPart = segment.needs.map((need, at) => servedNeed(need, prepared[index]!.part.needs[at]!, needs[at]!));
    return {
      segment,
      isLeftOut: isLeftOut[index]!,
      stopped: stopped[index]!,
      stoppedWords,
      said,
      sets,
      served: ofPart.map((one) =>
        one.source === 'home' && isAssumed.has(one.item!) ? { ...one, isAssumed: true } : one,
      ),
    };
  });
  const parts = asGivenOut(served, things);
  const from = (wanted: ServedNeed['source']) =>
    parts
      .filter((part) => !part.isLeftOut)
      .flatMap((part) =>
        part.served.flatMap(({ id, item, qty, source }) => (source === wanted ? [{ need: id, item: item!, qty }] : [])),
      );
  return {
    home,
    household,
    parts,
    kit: from('kit'),
    missing: from('missing'),
    answer: readinessOf(home, parts),
    isProved,
  };
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

/** Parts that are left out are served by themselves, so that they take nothing from the others. */
function serveDone(
  prepared: readonly PreparedPart[],
  isLeftOut: readonly boolean[],
  stock: readonly StockItem[],
): { parts: readonly ServedPart[]; isProved: boolean } {
  const done = serveParts(
    prepared.filter((_, index) => !isLeftOut[index]),
    stock,
  );
  let at = 0;
  const parts = prepared.map((part, index) =>
    isLeftOut[index] ? serveParts([part], stock).parts[0]! : done.parts[at++]!,
  );
  return { parts, isProved: done.isProved };
}

/** A need that the part cannot do without has nothing that is permitted. */
export function lacksPermission(segment: Segment, { part }: PreparedPart): boolean {
  return segment.needs.some((need, index) => !need.optional && part.needs[index]!.options.length === 0);
}

function servedNeed(
  need: Need,
  { id, options }: NeedToServe,
  { option, source, qty }: ServedPart['needs'][number],
): ServedNeed {
  if (!option) {
    const isSpared = need.optional && options.length > 0;
    return { id, need, item: null, source: isSpared ? 'without' : 'withheld', qty: 0 };
  }
  return {
    id,
    need,
    item: option.item,
    swap: option.place === 0 ? undefined : need.swaps[option.place - 1],
    source: source === 'home' ? 'home' : 'kit',
    own: option.qty,
    places: option.places,
    qty,
  };
}

function readinessOf(home: Home, parts: readonly FittedPart[]): HomeReadiness {
  const done = parts.filter(({ isLeftOut }) => !isLeftOut).flatMap(({ served }) => served);
  const missing = parts
    .flatMap(({ isLeftOut, served }) => (isLeftOut ? served.filter(({ source }) => source === 'withheld') : served))
    .filter(({ need, source }) => source !== 'home' && !need.optional)
    .map(({ id }) => id);
  return {
    id: home.id,
    state: stateOf({
      isShort: missing.length > 0 || parts.some(({ isLeftOut }) => isLeftOut),
      isAsWritten: done.every(({ item, need }) => item === need.item || (need.optional && item === null)),
      isAssumed: done.some((one) => one.isAssumed),
    }),
    missing,
    picks: parts.flatMap(({ served }) =>
      served.map(({ id, item, source }) => ({ need: id, item: source === 'home' ? item : null })),
    ),
  };
}

/** How many homes can do a session, and each one's fit. */
export function fitHomes(
  session: Pick<Session, 'segments' | 'on'>,
  homes: readonly Home[],
  settings: FitSettings,
): { fits: readonly HomeFit[]; readiness: Readiness } {
  const fits = homes.map(sessionFitter(session, settings));
  return { fits, readiness: readinessOfAll(fits) };
}

/** How many homes can do a session, from each one's fit. */
export function readinessOfAll(fits: readonly HomeFit[]): Readiness {
  // Homes that are alike share their parts.
  const kits = new Map<HomeFit['parts'], ReturnType<typeof kitOf>>();
  const kitFor = (parts: HomeFit['parts']) => {
    const kit = kits.get(parts) ?? kitOf(parts);
    kits.set(parts, kit);
    return kit;
  };
  return summariseReadiness(fits.map(({ answer, parts }) => ({ answer, kit: kitFor(parts) })));
}
