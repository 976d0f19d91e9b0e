import { avoidedIn } from './allergens.ts';
import { byCodeUnit } from '../ordering.ts';
import {
  CAUTION_LEVELS,
  CAUTION_RULES,
  isFor,
  levelInRoom,
  stricterOf,
  USUAL_POLICY,
  type CautionLevel,
  type CautionPolicy,
  type OwnRule,
  type Room,
} from './rules.ts';

/** A caution that holds, at its level, with the things or actions that call for it. */
export interface Caution {
  readonly rule: string;
  readonly level: CautionLevel;
  /** The things and actions that call for it, in the order given. */
  readonly because: readonly string[];
  /** What a programme's own rule says; absent for the usual ones. */
  readonly words?: string | undefined;
}

/** A thing in use, as cautions look at it. */
export interface UsedThing {
  readonly item: string;
  readonly traits: readonly string[];
  readonly allergens?: readonly string[] | undefined;
  /** What it is called, for what a home must not have in its own words. */
  readonly names?: readonly string[] | undefined;
  /** Whether it is a counter (`true`: hard food is one too) or eaten (`false`). Absent: a trait stands for its rule. */
  readonly isCounter?: boolean | undefined;
}

/** Who is in a room, and what is used and done there. */
export interface CautionsInput extends Room {
  readonly items: readonly UsedThing[];
  readonly actions: readonly string[];
}

/**
 * The rules a thing calls for: its traits that are rules, and allergens where it holds any. What is eaten is judged as food:
 * what is hard when raw like what is round, and what is only kept out of mouths while it is dry not at all.
 */
export function rulesOf({ traits, allergens = [], isCounter }: UsedThing): string[] {
  const isEaten = isCounter === false;
  const rules = traits.filter(
    (trait) =>
      Object.hasOwn(CAUTION_RULES, trait) && !(isEaten && trait === 'not-for-eating' && traits.includes('edible')),
  );
  const judged = new Set(rules.map((rule) => (isCounter && rule === 'choking-food' ? 'food-counters' : rule)));
  if (isEaten && traits.includes('hard')) judged.add('choking-food');
  if (allergens.length > 0) judged.add('allergens');
  return [...judged];
}

/**
 * The cautions that things and actions call for in a room, strictest first, with a programme's own rules and stricter
 * ones. What a programme hides is left out unless it is a stop. Nothing given: none.
 */
export function findCautions(
  { youngestMonths, mouthing, items, actions }: CautionsInput,
  policy: CautionPolicy = USUAL_POLICY,
): Caution[] {
  const room = { youngestMonths, mouthing };
  const reasons = new Map<string, string[]>();
  const note = (rule: string, reason: string) => {
    const known = reasons.get(rule) ?? [];
    if (!known.includes(reason)) known.push(reason);
    reasons.set(rule, known);
  };
  for (const thing of items) for (const rule of rulesOf(thing)) note(rule, thing.item);
  for (const action of actions) if (Object.hasOwn(CAUTION_RULES, action)) note(action, action);
  const usual = [...reasons].flatMap(([rule, because]): Caution[] => {
    const level = levelInRoom(rule, room, policy);
    return level ? [{ rule, level, because }] : [];
  });
  const own = policy.own.flatMap((rule): Caution[] => {
    const because = [
      ...items.filter((thing) => callsForOwn(rule, thing)).map(({ item }) => item),
      ...actions.filter((action) => rule.actions?.includes(action)),
    ];
    if (because.length === 0 || !isFor(rule, room)) return [];
    return [{ rule: rule.name, level: rule.level, because: [...new Set(because)], words: rule.words }];
  });
  return [...usual, ...own]
    .filter(({ rule, level }) => level === 'stop' || !policy.hidden.some((hidden) => hidden.rule === rule))
    .sort(
      (left, right) =>
        CAUTION_LEVELS.indexOf(left.level) - CAUTION_LEVELS.indexOf(right.level) || byCodeUnit(left.rule, right.rule),
    );
}

function callsForOwn(rule: OwnRule, { item, traits, allergens = [] }: UsedThing): boolean {
  return (
    (rule.things?.includes(item) ?? false) ||
    (rule.traits?.some((trait) => traits.includes(trait)) ?? false) ||
    (rule.allergens?.some((allergen) => allergens.includes(allergen)) ?? false)
  );
}

/** A home as permission looks at it: who is there, and which allergens it has named. */
export interface Permission extends Room {
  readonly allergens: readonly string[];
}

/** Whether a thing may be given at a home: no rule stops it, and it holds nothing that was named. */
export function mayUse(thing: UsedThing, home: Permission, policy: CautionPolicy = USUAL_POLICY): boolean {
  if ((thing.allergens ?? []).some((allergen) => home.allergens.includes(allergen))) return false;
  if ((thing.names ?? []).some((name) => avoidedIn(name, home.allergens) !== undefined)) return false;
  const usual = rulesOf(thing).reduce<CautionLevel | null>(
    (level, rule) => stricterOf(level, levelInRoom(rule, home, policy)),
    null,
  );
  if (usual === 'stop') return false;
  return !policy.own.some((rule) => rule.level === 'stop' && isFor(rule, home) && callsForOwn(rule, thing));
}

/** The actions of a part that are stopped in a room: then the part cannot be done there. */
export function stoppedActions(actions: readonly string[], room: Room, policy: CautionPolicy = USUAL_POLICY): string[] {
  return actions.filter(
    (action) =>
      (Object.hasOwn(CAUTION_RULES, action) && levelInRoom(action, room, policy) === 'stop') ||
      policy.own.some((rule) => rule.level === 'stop' && isFor(rule, room) && rule.actions?.includes(action)),
  );
}

/** A caution for somebody who does not know yet which children there will be. */
export interface CautionOverAges {
  readonly rule: string;
  /** Below this age of the youngest child it is stopped, in months: 0 when at no age, null when at every age. */
  readonly stopsUnderMonths: number | null;
  /** From that age on; null when nothing is left to say. */
  readonly level: CautionLevel | null;
  readonly because: readonly string[];
  /** What a programme's own rule says; absent for the usual ones. */
  readonly words?: string | undefined;
}

/**
 * The cautions that things and actions call for over all ages, those that are stopped longest first, by what a programme
 * decided. Nothing given: none.
 */
export function cautionsOverAges(
  input: Omit<CautionsInput, 'youngestMonths' | 'mouthing'>,
  policy: CautionPolicy = USUAL_POLICY,
): CautionOverAges[] {
  const ages = agesThatMatter(policy);
  return findCautions({ ...input, youngestMonths: 0 }, policy)
    .map(({ rule, because, words }) => {
      const levelAt = (youngestMonths: number) =>
        findCautions({ ...input, youngestMonths }, policy).find((caution) => caution.rule === rule)?.level ?? null;
      const stopsUnderMonths = ages.find((age) => levelAt(age) !== 'stop') ?? null;
      const level = stopsUnderMonths === null ? null : levelAt(stopsUnderMonths);
      return { rule, because, stopsUnderMonths, level, ...(words !== undefined && { words }) };
    })
    .sort((left, right) => (right.stopsUnderMonths ?? Infinity) - (left.stopsUnderMonths ?? Infinity) || 0);
}

/** The ages at which a rule, usual or a programme's, changes, youngest first. */
function agesThatMatter({ own, stricter }: CautionPolicy): number[] {
  const theirs = [...own, ...stricter].flatMap(({ underMonths }) => underMonths ?? []);
  return [...new Set([0, 12, 36, 60, 96, ...theirs])].sort((left, right) => left - right);
}
