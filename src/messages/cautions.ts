import type { CautionOverAges } from '../core/cautions/cautions.ts';
import type { CautionLevel } from '../core/cautions/rules.ts';
import { ageInWords } from './dates.ts';
import { en } from './guide.en.ts';
import { cautionText } from './guide.ts';

const LIST = new Intl.ListFormat('en-GB');

/** A caution for an author: which things call for it, what it asks for, and where it is stopped. */
export function describeCaution(
  { rule, level, stopsUnderMonths, because, words }: CautionOverAges,
  nameOf: (item: string) => string | undefined,
): { readonly things: string; readonly text: string } {
  const things = because.flatMap((reason) => nameOf(reason) ?? []);
  const asks = words ?? (level === null ? cautionText(en, rule, 'stop') : cautionText(en, rule, level));
  const from =
    stopsUnderMonths === null || stopsUnderMonths === 0
      ? ''
      : ` Left out where a child under ${ageInWords(stopsUnderMonths)} is in the room.`;
  const named = LIST.format(things);
  return { things: named.charAt(0).toUpperCase() + named.slice(1), text: `${asks}${from}` };
}

/** Each usual rule by a name an author would use. */
export const RULE_NAMES: Readonly<Record<string, string>> = {
  'small-parts': 'Small parts',
  'small-balls': 'Small balls',
  balloons: 'Balloons',
  'magnets-cells-beads': 'Strong magnets, button cells, swelling beads',
  cords: 'Cords and loops',
  bags: 'Bags and film',
  'choking-food': 'Round or hard food, to eat',
  'food-counters': 'Round or hard food, to count with',
  honey: 'Honey',
  'raw-dough': 'Raw flour and egg',
  allergens: 'Allergens',
  'food-in-art': 'Food in paint or glue',
  powder: 'Powder and dust',
  'not-for-eating': 'Not for eating',
  water: 'Water',
  heat: 'Heat',
  blades: 'Blades and points',
  scissors: 'Scissors',
  glass: 'Glass',
  dyes: 'Paint, glue and glitter',
  cleaning: 'Cleaning products',
  soil: 'Soil, found things, animals',
  handled: 'Coins and well-handled things',
  batteries: 'Batteries',
  light: 'Light in eyes',
  dark: 'A darkened room',
  slips: 'Slippery floors and feet',
  road: 'Near traffic',
  carrying: 'Carrying and walking backwards',
  pinching: 'Hooks and pinching',
  movement: 'Jumping, dancing, eyes closed',
  climbing: 'Stairs and climbing',
  sound: 'Loud things',
  screens: 'Screens',
  flame: 'Flames',
  'deep-water': 'Deep or open water',
  heights: 'Heights and windows',
  poison: 'Poisons',
  medicine: 'Medicine',
  'wild-food': 'Wild berries, fungi and plants',
  'strange-animals': 'Animals you don’t know',
  sun: 'Looking at the sun',
};

/** How much care a rule asks for, strictest first. */
export const LEVEL_NAMES: Readonly<Record<CautionLevel, string>> = {
  stop: 'left out',
  hold: 'an adult does it',
  watch: 'within arm’s reach',
  note: 'good to know',
};

/** What stands below every list of cautions. */
export const ADULT_DECIDES = en.adultDecides;
