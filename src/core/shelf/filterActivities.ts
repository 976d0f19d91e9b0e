/** The seasons an activity may be kept to. */
export const SEASONS = ['spring', 'summer', 'autumn', 'winter'] as const;
/** One of the seasons. */
export type Season = (typeof SEASONS)[number];

/** What one looks for; whatever is absent does not matter. */
export interface ActivityFilter {
  readonly skill?: string | undefined;
  /** In whole months: the child is this old. */
  readonly ageMonths?: number | undefined;
  /** At most so many likely minutes together. */
  readonly minutes?: number | undefined;
  readonly theme?: string | undefined;
  /** 0 none to 3 much. */
  readonly messAtMost?: number | undefined;
  /** Words that stand in where it is done or on what. */
  readonly surface?: string | undefined;
  readonly season?: Season | undefined;
}

/** An activity as far as a filter looks at it. */
export interface FilterableActivity {
  readonly skills: readonly string[];
  readonly ages: { readonly fromMonths: number; readonly toMonths: number };
  readonly likelyMinutes: number;
  readonly themes: readonly string[];
  readonly mess: number;
  readonly where: string;
  readonly surface: string;
  /** Absent: any time of the year. */
  readonly seasons?: readonly string[] | undefined;
}

/** Whether an activity is what one looks for. An empty filter takes everything. */
export function matchesFilter(activity: FilterableActivity, filter: ActivityFilter): boolean {
  const { skill, ageMonths, minutes, theme, messAtMost, surface, season } = filter;
  const place = `${activity.where} ${activity.surface}`.toLowerCase();
  return (
    (skill === undefined || activity.skills.includes(skill)) &&
    (ageMonths === undefined || (activity.ages.fromMonths <= ageMonths && ageMonths <= activity.ages.toMonths)) &&
    (minutes === undefined || activity.likelyMinutes <= minutes) &&
    (theme === undefined || activity.themes.includes(theme)) &&
    (messAtMost === undefined || activity.mess <= messAtMost) &&
    (surface === undefined || place.includes(surface.toLowerCase())) &&
    (season === undefined || !activity.seasons || activity.seasons.length === 0 || activity.seasons.includes(season))
  );
}
