import { ageInMonths, type CalendarDate } from '../calendar/index.ts';
import type { StockItem } from '../materials/index.ts';

/** A child of a home; only the month of birth is kept. */
export interface Child {
  readonly nickname: string;
  /** YYYY-MM */
  readonly birthMonth: string;
  /** What the child loves, for interest slots. */
  readonly loves?: string | undefined;
  /** Still puts things into the mouth, at whatever age. */
  readonly mouthing?: boolean | undefined;
  readonly leftHanded?: boolean | undefined;
  /** What helps this child, in the home's own words. */
  readonly needs?: string | undefined;
}

/** A home as far as a session needs to know it. */
export interface Home {
  readonly id: string;
  readonly nickname: string;
  readonly children: readonly Child[];
  /** Allergens a home has named, by the names of the caution list. */
  readonly allergens: readonly string[];
  /** What it has, with how many. */
  readonly stock: readonly StockItem[];
  /** What it said it has not, by key. Whatever is in neither list was not asked about. */
  readonly hasNot?: readonly string[] | undefined;
}

/** Age of a home's youngest child on a day, in whole months; 0 for a home that has named no child. */
export function youngestMonthsOn(home: Pick<Home, 'children'>, on: CalendarDate): number {
  const ages = home.children.map(({ birthMonth }) => Math.max(0, ageInMonths(birthMonth, on)));
  return ages.length === 0 ? 0 : Math.min(...ages);
}

/** The child a session is for: the first whose age on the day fits, or the first there is. */
export function childFor(
  home: Pick<Home, 'children'>,
  ages: { readonly fromMonths: number; readonly toMonths: number },
  on: CalendarDate,
): Child | undefined {
  return (
    home.children.find(({ birthMonth }) => {
      const months = ageInMonths(birthMonth, on);
      return months >= ages.fromMonths && months <= ages.toMonths;
    }) ?? home.children[0]
  );
}
