import { byCodeUnit } from '../ordering.ts';

export const CAUTION_LEVELS = ['stop', 'hold', 'watch', 'note'] as const;
/** stop: not for this age, withheld. hold: an adult does it. watch: within arm's reach. note: good to know. */
export type CautionLevel = (typeof CAUTION_LEVELS)[number];

export interface Caution {
  readonly rule: string;
  readonly level: CautionLevel;
  /** The things and actions that call for it, in the order given. */
  readonly because: readonly string[];
}

export interface CautionsInput {
  /** Of the youngest child in the room, not only of the child a session is for. */
  readonly youngestMonths: number;
  readonly items: readonly { readonly item: string; readonly traits: readonly string[] }[];
  readonly actions: readonly string[];
}

type LevelByAge = (ageMonths: number) => CautionLevel | null;

const always =
  (level: CautionLevel): LevelByAge =>
  () =>
    level;
const under =
  (months: number, then: CautionLevel, otherwise: CautionLevel | null): LevelByAge =>
  (ageMonths) =>
    ageMonths < months ? then : otherwise;

/**
 * The usual cautions and the ages at which they change. Ages follow the common rules for toys and food:
 * 36 months for small parts (the small-parts gauge of about 32 mm) and cords, 60 months for round or hard food,
 * 8 years for balloons, 12 months for honey.
 */
export const CAUTION_RULES: Readonly<Record<string, LevelByAge>> = {
  'small-parts': under(36, 'stop', 'watch'),
  'small-balls': under(36, 'stop', null),
  balloons: under(96, 'stop', null),
  'magnets-cells-beads': always('stop'),
  cords: under(36, 'stop', 'watch'),
  bags: under(36, 'stop', 'watch'),
  'choking-food': under(60, 'stop', null),
  honey: under(12, 'stop', null),
  'raw-dough': always('hold'),
  allergens: always('note'),
  'food-in-art': always('hold'),
  water: always('watch'),
  heat: always('hold'),
  blades: always('hold'),
  scissors: always('watch'),
  glass: always('hold'),
  dyes: always('note'),
  cleaning: always('stop'),
  soil: always('note'),
  handled: under(36, 'stop', 'note'),
  movement: always('note'),
  climbing: always('watch'),
  sound: always('note'),
  screens: always('note'),
};

/** The cautions that things and actions call for with this youngest child, strictest first. Nothing given: none. */
export function findCautions({ youngestMonths, items, actions }: CautionsInput): Caution[] {
  const reasons = new Map<string, string[]>();
  const note = (rule: string, reason: string) => {
    if (!Object.hasOwn(CAUTION_RULES, rule)) return;
    const known = reasons.get(rule) ?? [];
    if (!known.includes(reason)) known.push(reason);
    reasons.set(rule, known);
  };
  for (const { item, traits } of items) for (const trait of traits) note(trait, item);
  for (const action of actions) note(action, action);
  return [...reasons]
    .flatMap(([rule, because]) => {
      const level = CAUTION_RULES[rule]!(youngestMonths);
      return level ? [{ rule, level, because }] : [];
    })
    .sort(
      (left, right) =>
        CAUTION_LEVELS.indexOf(left.level) - CAUTION_LEVELS.indexOf(right.level) || byCodeUnit(left.rule, right.rule),
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
}

/** The cautions that things and actions call for over all ages, those that are stopped longest first. Nothing given: none. */
export function cautionsOverAges(input: Omit<CautionsInput, 'youngestMonths'>): CautionOverAges[] {
  return findCautions({ ...input, youngestMonths: 0 })
    .map(({ rule, because }) => {
      const levelAt = CAUTION_RULES[rule]!;
      const stopsUnderMonths = EVERY_AGE_CHECKED.find((age) => levelAt(age) !== 'stop') ?? null;
      return { rule, because, stopsUnderMonths, level: stopsUnderMonths === null ? null : levelAt(stopsUnderMonths) };
    })
    .sort((left, right) => (right.stopsUnderMonths ?? Infinity) - (left.stopsUnderMonths ?? Infinity) || 0);
}

const EVERY_AGE_CHECKED = [0, 12, 36, 60, 96];

/**
 * The youngest age in months at which a thing with these traits may be handled: 0 when always, null when never.
 * Food that is only choked on when eaten may still be counted with from the age that small parts allow.
 */
export function youngestAllowedMonths(traits: readonly string[]): number | null {
  const stopping = traits.filter((trait) => Object.hasOwn(CAUTION_RULES, trait) && trait !== 'choking-food');
  const allowed = EVERY_AGE_CHECKED.find((age) => stopping.every((trait) => CAUTION_RULES[trait]!(age) !== 'stop'));
  return allowed ?? null;
}
