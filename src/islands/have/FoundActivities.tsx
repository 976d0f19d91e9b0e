import type { CountedThing, Doable, FeasibleActivity } from '../../core/homes/index.ts';
import { skillWords } from '../../messages/skills.ts';

interface FoundActivitiesProps {
  readonly found: readonly Doable[];
  readonly byHomes: readonly { readonly activity: FeasibleActivity; readonly homes: number }[];
  readonly isAllHomes: boolean;
  readonly homeCount: number;
  readonly things: readonly CountedThing[];
}

const MOST_SHOWN = 60;

/** What can be done now, best use first; over all homes, what most of them can do. */
export function FoundActivities({ found, byHomes, isAllHomes, homeCount, things }: FoundActivitiesProps) {
  const nameOf = (item: string) => things.find(({ key }) => key === item)?.many ?? item;
  const count = isAllHomes ? byHomes.length : found.length;
  return (
    <section aria-label="What can be done">
      <h2>
        What can be done <span className="text-soft">{count}</span>
      </h2>
      <p className="text-sm text-soft" role="status">
        {isAllHomes
          ? `How many of ${homeCount} homes can do it, with what they have.`
          : count === 0
            ? 'Nothing yet.'
            : 'As written first, then with a swap; the best use of what is there comes first.'}
        {count > MOST_SHOWN && ` The first ${MOST_SHOWN} are shown.`}
      </p>
      <ol className="[&>li]:border-t [&>li]:border-t-line [&>li]:py-[0.4rem] [&>li]:px-0">
        {isAllHomes
          ? byHomes.slice(0, MOST_SHOWN).map(({ activity, homes }) => (
              <li key={activity.key}>
                <a href={`/shelf/activity/${activity.key}`}>{activity.title}</a>{' '}
                <span className="text-soft text-sm">
                  {homes} of {homeCount} · {activity.skills.map(skillWords).join(', ')}
                </span>
              </li>
            ))
          : found.slice(0, MOST_SHOWN).map(({ activity, state, picks }) => (
              <li key={activity.key}>
                <a href={`/shelf/activity/${activity.key}`}>{activity.title}</a>{' '}
                <span className="text-soft text-sm">
                  {state === 'ready' ? 'Can do it as written' : 'With a swap'} ·{' '}
                  {activity.skills.map(skillWords).join(', ')}
                  {picks.length > 0 && ` · ${picks.map(({ item }) => nameOf(item)).join(', ')}`}
                </span>
              </li>
            ))}
      </ol>
    </section>
  );
}
