import type { CautionOverAges } from '../core/cautions/cautions.ts';
import { ageInWords } from './dates.ts';
import { en } from './guide.en.ts';
import { cautionText } from './guide.ts';

const LIST = new Intl.ListFormat('en-GB');

/** A caution for an author: which things call for it, what it asks for, and where it is stopped. */
export function describeCaution(
  { rule, level, stopsUnderMonths, because }: CautionOverAges,
  nameOf: (item: string) => string | undefined,
): { readonly things: string; readonly text: string } {
  const things = because.flatMap((reason) => nameOf(reason) ?? []);
  const asks = level === null ? cautionText(en, rule, 'stop') : cautionText(en, rule, level);
  const from =
    stopsUnderMonths === null || stopsUnderMonths === 0
      ? ''
      : ` Left out where a child under ${ageInWords(stopsUnderMonths)} is in the room.`;
  const named = LIST.format(things);
  return { things: named.charAt(0).toUpperCase() + named.slice(1), text: `${asks}${from}` };
}

/** What stands below every list of cautions. */
export const ADULT_DECIDES = en.adultDecides;
