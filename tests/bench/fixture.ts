import { segmentFromActivity, type ShelfActivity } from '../../src/core/shelf/index.ts';
import type { Thing, ThingsByKey } from '../../src/core/materials/index.ts';
import type { Home } from '../../src/core/homes/index.ts';
import { demoEntries } from '../support/demoFile.ts';
import type { Session } from '../../src/core/session/index.ts';

/** A session of so many demo activities, with the demo's things and homes. */
export function readBenchFixture(segments: number): { session: Session; things: ThingsByKey; homes: Home[] } {
  const activities = demoEntries<ShelfActivity>('activities');
  const homes = demoEntries<Omit<Home, 'id' | 'stock'> & { things: Home['stock'] }>('homes');
  return {
    session: {
      title: 'Twelve parts',
      on: '2027-03-18',
      ages: { fromMonths: 36, toMonths: 71 },
      aim: '',
      accepted: [],
      segments: Array.from({ length: segments }, (_, index) =>
        segmentFromActivity(activities[index % activities.length]!, `part-${index}`),
      ),
    },
    things: Object.fromEntries(demoEntries<Thing>('things').map((thing) => [thing.key, thing])),
    homes: homes.map(({ things, ...home }, index) => ({ ...home, id: `home-${index}`, stock: things })),
  };
}
