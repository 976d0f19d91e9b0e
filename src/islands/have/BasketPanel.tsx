import { useEffect, useState } from 'react';
import type { CountedThing, FeasibleActivity, Inventory, UsefulThings } from '../../core/homes/index.ts';
import { skillWords } from '../../messages/skills.ts';

interface BasketPanelProps extends Pick<Inventory, 'things'> {
  readonly activities: readonly FeasibleActivity[];
  readonly youngestMonths: number;
}

/** The three things that together open the most skills, found by a worker, and what each adds. */
export function BasketPanel({ activities, things, youngestMonths }: BasketPanelProps) {
  const basket = useBasket({ activities, things, youngestMonths });
  const nameOf = (item: string) => things.find(({ key }) => key === item)?.many ?? item;
  return (
    <section aria-label="A basket of three">
      <h2>A basket of three</h2>
      <p className="text-sm text-soft">
        Which three things, and no others, open the most skills for a child of {Math.floor(youngestMonths / 12)} or
        more.
      </p>
      {basket === null ? (
        <progress className="progress progress-primary" aria-label="Comparing every three things" />
      ) : (
        <div className="have-basket [&_li]:border-t [&_li]:border-t-line [&_li]:py-[0.3rem] [&_li]:px-0">
          <p role="status">
            <strong>{basket.skills.length} skills</strong> by {basket.activities.length} activities
          </p>
          <ol>
            {basket.things.map(({ item, adds }) => (
              <li key={item}>
                <a href={`/shelf/thing/${item}`}>{nameOf(item)}</a>
                <span className="block text-sm text-soft">
                  {adds.length === 0 ? 'adds nothing new' : `adds ${adds.map(skillWords).join(', ')}`}
                </span>
              </li>
            ))}
          </ol>
        </div>
      )}
    </section>
  );
}

function useBasket({
  activities,
  things,
  youngestMonths,
}: {
  activities: readonly FeasibleActivity[];
  things: readonly CountedThing[];
  youngestMonths: number;
}) {
  const [basket, setBasket] = useState<UsefulThings | null>(null);
  useEffect(() => {
    setBasket(null);
    const worker = new Worker(new URL('../../workers/basket.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<UsefulThings>) => setBasket(data);
    worker.postMessage({ activities, things, youngestMonths });
    return () => worker.terminate();
  }, [activities, things, youngestMonths]);
  return basket;
}
