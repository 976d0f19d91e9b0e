import type { Thing } from '../../src/core/materials/index.ts';
import type { ShelfActivity } from '../../src/core/shelf/index.ts';
import { demoEntries } from '../support/demoFile.ts';

/** The things of the demo, by their keys. */
export const things = Object.fromEntries(demoEntries<Thing>('things').map((thing) => [thing.key, thing]));

/** The activities of the demo. */
export const activities = demoEntries<ShelfActivity>('activities');
