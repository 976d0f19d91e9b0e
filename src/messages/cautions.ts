import type { CautionLevel, CautionOverAges } from '../core/cautions/index.ts';
import { cautionText, CAUTION_WORDS } from './cautionWords.ts';
import { guide } from './languages/en.ts';
import { capital, sayScreen } from './screenWords.ts';
import { ageInWords } from './spans.ts';

const LIST = new Intl.ListFormat('en-GB');

/** A caution for an author: which things call for it, what it asks for, and where it is stopped. */
export function describeCaution(
  { rule, level, stopsUnderMonths, because, words }: CautionOverAges,
  nameOf: (item: string) => string | undefined,
): { readonly things: string; readonly text: string } {
  const things = because.flatMap((reason) => nameOf(reason) ?? []);
  const asks = words ?? cautionText('en', rule, level ?? 'stop');
  const text =
    stopsUnderMonths === null || stopsUnderMonths === 0
      ? asks
      : sayScreen('caution.left-out-under', { asks, age: ageInWords(stopsUnderMonths) });
  return { things: capital(LIST.format(things)), text };
}

/** Each usual rule by a name an author would use. */
export const RULE_NAMES: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(CAUTION_WORDS).map(([rule, { name }]) => [rule, name]),
);

/** How much care a rule asks for, strictest first. */
export const LEVEL_NAMES: Readonly<Record<CautionLevel, string>> = {
  stop: 'left out',
  hold: 'an adult does it',
  watch: 'within arm’s reach',
  note: 'good to know',
};

/** What stands below every list of cautions. */
export const ADULT_DECIDES = guide.adultDecides;
