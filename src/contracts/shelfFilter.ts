import { type ActivityFilter, type Season, SEASONS } from '../core/shelf/index.ts';

/** What the address of the shelf asks for; what is empty or makes no sense does not matter. */
export function readShelfFilter(asked: URLSearchParams): ActivityFilter {
  const text = (name: string) => asked.get(name)?.trim().slice(0, 80) || undefined;
  const number = (name: string) => {
    const value = Number(text(name));
    return text(name) !== undefined && Number.isFinite(value) && value >= 0 ? value : undefined;
  };
  const years = number('years');
  const season = text('season');
  return {
    skill: text('skill'),
    ageMonths: years === undefined ? undefined : Math.round(years * 12) + 6,
    minutes: number('minutes'),
    theme: text('theme'),
    messAtMost: number('mess'),
    surface: text('surface'),
    season: SEASONS.find((known): known is Season => known === season),
  };
}
