import type { Need, ThingsByKey } from '../materials/index.ts';
import { type CautionPolicy, findCautions, USUAL_POLICY } from '../cautions/index.ts';
import {
  asUsed,
  type FitSettings,
  type HomeFit,
  type Household,
  isPermitted,
  needIdIn,
  NOTHING_DECIDED,
} from '../homes/index.ts';
import { settleFindings } from './settleFindings.ts';
import {
  checkScript,
  isWholeLevel,
  type PlacesByItem,
  placesOf,
  type ScriptProblem,
  type Segment,
  type Session,
} from '../session/index.ts';
import type { ComposedSession } from '../guide/index.ts';
import { type SeatedFlag, spreadOf } from '../time/index.ts';
import type { Finding } from './finding.ts';
import { firstMention, needFindings, unknownFindings } from './needFindings.ts';
import { findBreakInSit } from './seatedRemedy.ts';

/** Everything the checks have to say about a session, in the order of the script. What was accepted on purpose is left out. */
export function findFindings(
  session: Session,
  composed: ComposedSession,
  fits: readonly HomeFit[],
  { things, policy = USUAL_POLICY, safety = NOTHING_DECIDED }: FitSettings,
): Finding[] {
  const places = placesOf(Object.values(things));
  const findings = composed.segments.flatMap((part, index) => [
    ...lineFindings(part.segment, composed, index),
    ...needFindings(part.segment, things),
    ...unknownFindings(part.segment, things),
    ...scriptFindings(part.segment, places),
    ...leftOutFindings(part.segment, fits),
    ...lackFindings(part.segment, fits),
    ...cautionFindings(part.segment, fits, { things, policy }),
    ...settleFindings(part.segment, fits, { things, policy, safety }),
    ...tipFindings(part.segment),
    ...segmentFindings(part, session, composed),
  ]);
  const mayBeAccepted = ({ weight, facts }: Finding) => weight !== 'stop' && facts.code !== 'to-settle';
  return findings.filter((finding) => !mayBeAccepted(finding) || !session.accepted.includes(finding.id));
}

function lineFindings(segment: Segment, composed: ComposedSession, index: number): Finding[] {
  return composed.segments[index]!.lines.flatMap(({ line, text, answer }) => {
    const wrong = !text.ok ? text.problem : answer && !answer.ok ? answer.problem : undefined;
    if (!wrong) return [];
    const facts = { code: 'line-problem', problem: wrong } as const;
    return [{ id: `line:${line.id}`, weight: 'stop' as const, segment: segment.id, line: line.id, facts }];
  });
}

/** What does not come out at another level or with the dials of a swap, though it does as the script stands. */
function scriptFindings(segment: Segment, places: PlacesByItem): Finding[] {
  const isShownElsewhere = ({ fault }: ScriptProblem) =>
    (fault.code === 'expression' || fault.code === 'template') && fault.when === '';
  return checkScript(segment, segment.title, { places, reach: 'as-it-stands' })
    .filter((problem) => !isShownElsewhere(problem))
    .map(({ path, fault }) => ({
      id: `script:${segment.id}/${path}`,
      weight: 'stop',
      segment: segment.id,
      facts: { code: 'script-problem', fault },
    }));
}

/** Homes that do without the part, because something it cannot do without is not permitted there. */
function leftOutFindings(segment: Segment, fits: readonly HomeFit[]): Finding[] {
  const without = fits.flatMap((fit) => {
    const part = fit.parts.find((candidate) => candidate.segment.id === segment.id);
    return part?.isLeftOut ? [{ fit, part }] : [];
  });
  if (without.length === 0) return [];
  const items = without.flatMap(({ part }) =>
    part.served.flatMap(({ need, source }) => (source === 'withheld' && !need.optional ? [need.item] : [])),
  );
  const facts = {
    code: 'left-out',
    items: [...new Set(items)],
    actions: [...new Set(without.flatMap(({ part }) => part.stopped))],
    words: [...new Set(without.flatMap(({ part }) => part.stoppedWords))],
    nicknames: without.map(({ fit }) => fit.home.nickname),
  } as const;
  return [{ id: `left-out:${segment.id}`, weight: 'warning', segment: segment.id, facts }];
}

/** An easier or harder way that is a sentence and cannot be done whole. */
function tipFindings(segment: Segment): Finding[] {
  return (['easier', 'harder'] as const).flatMap((level): Finding[] =>
    segment.levels[level] && !isWholeLevel(segment.levels[level])
      ? [{ id: `tip:${segment.id}/${level}`, weight: 'note', segment: segment.id, facts: { code: 'tip', level } }]
      : [],
  );
}

/** What homes lack, said once for all things that the same homes lack. */
function lackFindings(segment: Segment, fits: readonly HomeFit[]): Finding[] {
  const byHomes = new Map<string, { nicknames: string[]; needs: Need[] }>();
  for (const need of segment.needs) {
    const id = needIdIn(segment, need);
    const lacking = fits.filter(({ kit, missing }) => [...kit, ...missing].some((lacked) => lacked.need === id));
    if (lacking.length === 0) continue;
    const homes = lacking.map(({ home }) => home.id).join(' ');
    const group = byHomes.get(homes) ?? { nicknames: lacking.map(({ home }) => home.nickname), needs: [] };
    group.needs.push(need);
    byHomes.set(homes, group);
  }
  return [...byHomes.values()].map(({ nicknames, needs }) => ({
    id: `lack:${segment.id}/${needs.map(({ id }) => id).join('+')}`,
    weight: 'warning',
    segment: segment.id,
    line: firstMention(segment, needs[0]!),
    facts: { code: 'homes-lack', needs, nicknames },
  }));
}

/**
 * Cautions that withhold what the script says from at least one of the homes that do the part; milder ones stand in the
 * guide. What is put in its place must be permitted in all of those homes.
 */
function cautionFindings(
  segment: Segment,
  fits: readonly HomeFit[],
  { things, policy }: { things: ThingsByKey; policy: CautionPolicy },
): Finding[] {
  const items = segment.needs.flatMap((need) => (things[need.item] ? [asUsed(things[need.item]!, need)] : []));
  const stopsByRule = new Map<string, { households: Household[]; because: readonly string[] }>();
  for (const { household, parts } of fits) {
    if (parts.find((part) => part.segment.id === segment.id)?.isLeftOut) continue;
    for (const { rule, level, because } of findCautions({ ...household, items, actions: [] }, policy)) {
      if (level !== 'stop') continue;
      stopsByRule.set(rule, { households: [...(stopsByRule.get(rule)?.households ?? []), household], because });
    }
  }
  return [...stopsByRule].map(([rule, { households, because }]) => {
    const need = segment.needs.find(({ item }) => because.includes(item));
    const swap = need?.swaps.find(({ item }) =>
      households.every((household) => isPermitted(item, need, things, household)),
    );
    const facts = {
      code: 'caution',
      rule,
      level: 'stop',
      items: because,
      homes: households.length,
      ...(swap && { swapTo: swap.item }),
    } as const;
    return {
      id: `caution:${segment.id}/${rule}`,
      weight: 'warning' as const,
      segment: segment.id,
      line: need && firstMention(segment, need),
      facts,
      remedy: need && swap ? { do: 'use-swap', segment: segment.id, need: need.id, item: swap.item } : undefined,
    };
  });
}

function segmentFindings(
  part: ComposedSession['segments'][number],
  session: Session,
  composed: ComposedSession,
): Finding[] {
  const { segment, minutesProblem, together, alone, setup } = part;
  const findings: Finding[] = [];
  if (segment.size === 'group') {
    findings.push({ id: `group:${segment.id}`, weight: 'stop', segment: segment.id, facts: { code: 'group-only' } });
  }
  if (minutesProblem) {
    const facts = { code: 'minutes-problem', ...minutesProblem } as const;
    findings.push({ id: `minutes:${segment.id}`, weight: 'stop', segment: segment.id, facts });
  }
  const play = spreadOf(together).mean + spreadOf(alone).mean;
  if (spreadOf(setup).mean > play && play > 0) {
    const facts = { code: 'costly-setup', setup: spreadOf(setup).mean, play } as const;
    findings.push({ id: `setup:${segment.id}`, weight: 'warning', segment: segment.id, facts });
  }
  const flag = composed.runSheet.flags.find(({ to }) => to === segment.id);
  if (flag) findings.push(seatedFinding(flag, session, composed));
  return findings;
}

function seatedFinding(flag: SeatedFlag, session: Session, composed: ComposedSession): Finding {
  const titleOf = (id: string) => session.segments.find((segment) => segment.id === id)?.title ?? id;
  const move = findBreakInSit(flag, composed);
  return {
    id: `sit:${flag.from}-${flag.to}`,
    weight: 'warning',
    segment: flag.to,
    facts: {
      code: 'seated-too-long',
      flag,
      titles: [titleOf(flag.from), titleOf(flag.to)],
      ...(move && { moved: titleOf(move.segment) }),
    },
    remedy: move,
  };
}
