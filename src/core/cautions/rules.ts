/** How strongly a caution holds, the strongest first. */
export const CAUTION_LEVELS = ['stop', 'hold', 'watch', 'note'] as const;
/** stop: not for this age, withheld. hold: an adult does it. watch: within arm's reach. note: good to know. */
export type CautionLevel = (typeof CAUTION_LEVELS)[number];

/** Who is in the room, as far as cautions go. */
export interface Room {
  /** Of the youngest child in the room, not only of the child a session is for. Whole months. */
  readonly youngestMonths: number;
  /** A child in the room still mouths things, at whatever age. */
  readonly mouthing?: boolean | undefined;
}

type LevelInRoom = (room: Room) => CautionLevel | null;

const always =
  (level: CautionLevel): LevelInRoom =>
  () =>
    level;
const under =
  (months: number, then: CautionLevel, otherwise: CautionLevel | null): LevelInRoom =>
  ({ youngestMonths }) =>
    youngestMonths < months ? then : otherwise;
/** Like `under`, for what goes into a mouth: a child who still mouths things counts as younger. */
const underOrMouthing =
  (months: number, then: CautionLevel, otherwise: CautionLevel | null): LevelInRoom =>
  ({ youngestMonths, mouthing }) =>
    mouthing || youngestMonths < months ? then : otherwise;

const USUAL_RULES = {
  'small-parts': underOrMouthing(36, 'stop', 'watch'),
  'small-balls': underOrMouthing(36, 'stop', null),
  balloons: under(96, 'stop', null),
  'magnets-cells-beads': always('stop'),
  cords: under(36, 'stop', 'watch'),
  bags: under(36, 'stop', 'watch'),
  'choking-food': under(60, 'stop', null),
  'food-counters': underOrMouthing(36, 'stop', 'watch'),
  honey: under(12, 'stop', null),
  'raw-dough': always('hold'),
  allergens: always('note'),
  'food-in-art': always('hold'),
  powder: under(36, 'watch', 'note'),
  'not-for-eating': ({ mouthing }) => (mouthing ? 'stop' : 'watch'),
  water: always('watch'),
  heat: always('hold'),
  blades: always('hold'),
  scissors: always('watch'),
  glass: always('hold'),
  dyes: always('note'),
  cleaning: always('stop'),
  soil: always('note'),
  handled: underOrMouthing(36, 'stop', 'note'),
  batteries: always('note'),
  light: always('note'),
  dark: always('note'),
  slips: always('watch'),
  road: always('hold'),
  carrying: always('watch'),
  pinching: always('note'),
  movement: always('note'),
  climbing: always('watch'),
  sound: always('note'),
  screens: always('note'),
  flame: always('hold'),
  'deep-water': always('hold'),
  heights: always('hold'),
  poison: always('stop'),
  medicine: always('hold'),
  'wild-food': always('hold'),
  'strange-animals': always('hold'),
  sun: always('hold'),
} as const satisfies Readonly<Record<string, LevelInRoom>>;

/** A usual rule by its name. */
export type CautionRule = keyof typeof USUAL_RULES;

/**
 * The usual cautions and the ages at which they change. Ages follow the common rules for toys and food:
 * 36 months for small parts (the small-parts gauge of about 32 mm) and cords, 60 months for round or hard food,
 * 8 years for balloons, 12 months for honey.
 */
export const CAUTION_RULES: Readonly<Record<string, LevelInRoom>> = USUAL_RULES;

/** Rules that must be known before one begins: in a guide they stand before the lines, at whatever level. */
export const KNOWN_BEFOREHAND: ReadonlySet<string> = new Set([
  'slips',
  'movement',
  'climbing',
  'road',
  'heat',
  'water',
  'light',
  'dark',
  'flame',
  'deep-water',
  'heights',
  'medicine',
  'wild-food',
  'strange-animals',
  'sun',
]);

/** What a thing is like, beside the caution rules it may bear. A closed list, see docs/formats.md. */
export const PLAIN_TRAITS = [
  'countable',
  'stacks',
  'rolls',
  'floats',
  'soft',
  'flat',
  'sticks',
  'loose',
  'edible',
  'hard',
  'washable',
  'quiet',
  'container',
  'draws',
  'folds',
  'transparent',
] as const;

/** Every name a thing may bear as a trait. */
export const TRAITS: readonly string[] = [...PLAIN_TRAITS, ...Object.keys(CAUTION_RULES)];

/** A rule of a programme's own: what calls for it, how strict it is, for whom, and what it says. */
export interface OwnRule {
  /** Starts with "own-". */
  readonly name: string;
  readonly things?: readonly string[] | undefined;
  readonly traits?: readonly string[] | undefined;
  readonly actions?: readonly string[] | undefined;
  readonly allergens?: readonly string[] | undefined;
  readonly level: CautionLevel;
  /** Only where the youngest is under so many months; absent: at any age. */
  readonly underMonths?: number | undefined;
  readonly words: string;
}

/** A usual rule that a programme makes stricter. */
interface StricterRule {
  readonly rule: string;
  readonly level: CautionLevel;
  readonly underMonths?: number | undefined;
}

/** A recorded decision not to say a caution. It hides words, never a stop. */
interface HiddenRule {
  readonly rule: string;
  readonly by: string;
  /** YYYY-MM-DD */
  readonly on: string;
  readonly why: string;
}

/** What a programme decided about cautions. */
export interface CautionPolicy {
  readonly own: readonly OwnRule[];
  readonly stricter: readonly StricterRule[];
  readonly hidden: readonly HiddenRule[];
}

/** What a programme decided about cautions before it decides anything: our rules as they stand. */
export const USUAL_POLICY: CautionPolicy = { own: [], stricter: [], hidden: [] };

/** The stricter of two levels; null is no caution at all. */
export function stricterOf(one: CautionLevel | null, other: CautionLevel | null): CautionLevel | null {
  if (one === null || other === null) return one ?? other;
  return CAUTION_LEVELS.indexOf(one) <= CAUTION_LEVELS.indexOf(other) ? one : other;
}

/** How strict a usual rule is in a room, with what the programme made stricter; null when it has nothing to say. */
export function levelInRoom(rule: string, room: Room, policy: CautionPolicy = USUAL_POLICY): CautionLevel | null {
  const usual = CAUTION_RULES[rule]!(room);
  return policy.stricter
    .filter((other) => other.rule === rule && isFor(other, room))
    .reduce<CautionLevel | null>((level, other) => stricterOf(level, other.level), usual);
}

/** Whether a programme's rule speaks of this room. */
export function isFor({ underMonths }: { readonly underMonths?: number | undefined }, room: Room): boolean {
  return underMonths === undefined || room.youngestMonths < underMonths;
}
