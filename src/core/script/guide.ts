import { daysAhead } from '../calendar/preparation.ts';
import { findCautions, type Caution } from '../cautions/cautions.ts';
import { childFor, type Home } from '../homes/home.ts';
import { fitHome, needIdIn, type HomeFit } from '../homes/sessionReadiness.ts';
import { totalMaterials } from '../materials/materials.ts';
import { runSheet } from '../time/runSheet.ts';
import { roundTo, spreadOf } from '../time/minutes.ts';
import { composeSegment, namesOf, timedParts, writeLevel } from './composition.ts';
import { dialValues, type Need, type Segment, type Session, type Swap, type ThingsByKey } from './session.ts';
import { writePieces, type TemplateScope } from './template.ts';

export interface GuideLine {
  readonly kind: Segment['lines'][number]['kind'];
  readonly text: string;
  readonly answer?: string | undefined;
  readonly why?: string | undefined;
}

export interface GuideSegment {
  readonly id: string;
  readonly title: string;
  readonly kind: Segment['kind'];
  /** The key on the shelf it came from, for what homes answer. */
  readonly from?: string | undefined;
  /** Likely minutes of the child, to a tenth. */
  readonly minutes: number;
  readonly where: string;
  readonly seating: string;
  readonly lines: readonly GuideLine[];
  readonly easier?: string | undefined;
  readonly harder?: string | undefined;
  readonly access: string;
  readonly cautions: readonly Caution[];
  /** Things this home is not to use and that nothing replaces: the part is left out or done without them. */
  readonly withheld: readonly string[];
}

export interface GuideThing {
  readonly item: string;
  readonly name: string;
  readonly qty: number;
  /** The script's own thing, where this home uses another. */
  readonly insteadOf?: string | undefined;
  readonly why?: string | undefined;
  readonly source: 'home' | 'kit';
}

/** What one home receives: a fixed copy with this home's numbers, things and cautions worked in. */
export interface Guide {
  readonly title: string;
  readonly programme: string;
  readonly on: string;
  readonly at?: string | undefined;
  readonly aim: string;
  readonly home: string;
  readonly children: readonly string[];
  readonly minutes: { readonly likely: number; readonly low: number; readonly high: number };
  readonly setupMinutes: number;
  readonly fetch: readonly GuideThing[];
  readonly before: readonly { readonly days: number; readonly text: string }[];
  readonly segments: readonly GuideSegment[];
}

export interface GuideInput {
  readonly session: Session;
  readonly home: Home;
  readonly things: ThingsByKey;
  readonly programme: string;
}

interface ServedNeed {
  readonly need: Need;
  readonly item: string | null;
  readonly swap?: Swap | undefined;
}

/** Makes a home's guide from a session. Lines that cannot be written out are left out; a check keeps such a session from being sent. */
export function composeGuide({ session, home, things, programme }: GuideInput): Guide {
  const fit = fitHome(session, home, things);
  const loves = childFor(home, session.ages, session.on)?.loves;
  const served = new Map(session.segments.map((segment) => [segment.id, serveNeeds(segment, fit)]));
  const composed = session.segments.map((segment) =>
    composeSegment(segment, homeScope(segment, served.get(segment.id)!, things, loves)),
  );
  const { child, setup } = runSheet({
    children: [{ ageMonths: fit.youngestMonths }],
    seatedMinutesPerYear: 0,
    segments: composed.flatMap(timedParts),
  });
  return {
    title: session.title,
    programme,
    on: session.on,
    at: session.at,
    aim: session.aim,
    home: home.nickname,
    children: home.children.map(({ nickname }) => nickname),
    minutes: { likely: child.mean, low: child.low, high: child.high },
    setupMinutes: setup.mean,
    fetch: thingsToFetch(session, served, home, things),
    before: session.segments
      .flatMap(({ ahead }) =>
        ahead.filter(({ who }) => who === 'home').map((entry) => ({ days: daysAhead(entry), text: entry.text })),
      )
      .sort((left, right) => right.days - left.days),
    segments: composed.map((part) => {
      const needs = served.get(part.segment.id)!;
      return guideSegment(part, homeScope(part.segment, needs, things, loves), needs, {
        youngestMonths: fit.youngestMonths,
        things,
      });
    }),
  };
}

function serveNeeds(segment: Segment, fit: HomeFit): ServedNeed[] {
  return segment.needs.map((need) => {
    const id = needIdIn(segment, need);
    const picked = fit.answer.picks.find((pick) => pick.need === id)?.item ?? null;
    const item = picked ?? fit.kit.find((entry) => entry.need === id)?.item ?? null;
    return { need, item, swap: need.swaps.find((swap) => swap.item === item) };
  });
}

/** What lines may refer to at this home: its own things by name, and the dials as its swaps set them. */
function homeScope(
  segment: Segment,
  served: readonly ServedNeed[],
  things: ThingsByKey,
  loves: string | undefined,
): TemplateScope {
  const sets = served.map(({ swap }) => swap?.sets ?? {});
  return {
    values: Object.assign({}, dialValues(segment.dials), ...sets) as TemplateScope['values'],
    things: Object.fromEntries(served.map(({ need, item }) => [need.id, namesOf(item ?? need.item, things)])),
    loves,
  };
}

function guideSegment(
  part: ReturnType<typeof composeSegment>,
  scope: TemplateScope,
  served: readonly ServedNeed[],
  { youngestMonths, things }: { youngestMonths: number; things: ThingsByKey },
): GuideSegment {
  const { segment, lines, together, alone } = part;
  const items = served.flatMap(({ item }) => (item ? [{ item, traits: things[item]?.traits ?? [] }] : []));
  return {
    id: segment.id,
    title: segment.title,
    kind: segment.kind,
    from: segment.from,
    minutes: roundTo(spreadOf(together).mean + spreadOf(alone).mean, 1),
    where: segment.where,
    seating: segment.seating,
    lines: lines.flatMap(({ line, text, answer }) =>
      text.ok && writePieces(text.value).trim() !== ''
        ? [
            {
              kind: line.kind,
              text: writePieces(text.value),
              answer: answer?.ok ? writePieces(answer.value) : undefined,
              why: line.why,
            },
          ]
        : [],
    ),
    easier: writeLevel(segment.levels.easier, scope),
    harder: writeLevel(segment.levels.harder, scope),
    access: segment.access,
    withheld: served.filter(({ item }) => item === null).map(({ need }) => namesOf(need.item, things).many),
    cautions: findCautions({ youngestMonths, items, actions: segment.actions }).map((caution) => ({
      ...caution,
      because: caution.because.map((reason) => (things[reason] ? namesOf(reason, things).many : reason)),
    })),
  };
}

/** The fetch list: quantities by thing over the whole session, as this home has them. */
function thingsToFetch(
  session: Session,
  served: ReadonlyMap<string, readonly ServedNeed[]>,
  home: Home,
  things: ThingsByKey,
): GuideThing[] {
  const totals = totalMaterials({
    children: Math.max(1, home.children.length),
    segments: session.segments.map((segment) => ({
      id: segment.id,
      dials: dialValues(segment.dials),
      needs: served.get(segment.id)!.flatMap(({ need, item }) => (item ? [{ ...need, item }] : [])),
    })),
  });
  if (!totals.ok) return [];
  const all = [...served.values()].flat();
  return totals.value.map(({ item, qty }) => {
    const uses = all.filter((use) => use.item === item);
    const swap = uses.find((use) => use.swap)?.swap;
    const written = uses.find((use) => use.swap)?.need.item;
    const held = home.stock.reduce((sum, stock) => (stock.item === item ? sum + stock.qty : sum), 0);
    const names = namesOf(item, things);
    return {
      item,
      name: qty === 1 ? names.one : names.many,
      qty,
      insteadOf: written ? namesOf(written, things).many : undefined,
      why: swap?.why,
      source: held + 1e-9 >= qty ? ('home' as const) : ('kit' as const),
    };
  });
}
