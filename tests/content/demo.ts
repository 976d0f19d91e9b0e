import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Thing } from '../../src/core/materials/index.ts';
import type { ShelfActivity } from '../../src/core/shelf/index.ts';

const DEMO = join(import.meta.dirname, '../../demo');
const read = <Entry>(file: string) =>
  (JSON.parse(readFileSync(join(DEMO, `${file}.json`), 'utf8')) as Record<string, Entry[]>)[file]!;

/** The things of the demo, by their keys. */
export const things = Object.fromEntries(read<Thing>('things').map((thing) => [thing.key, thing]));

/** The activities of the demo. */
export const activities = read<ShelfActivity>('activities');
