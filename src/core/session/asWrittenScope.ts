import { roundUp, type TemplateScope } from '../expressions/index.ts';
import { type Amount, amountAsWritten, amountFor, namesOf, type Need, type ThingsByKey } from '../materials/index.ts';
import type { LevelName } from './levelName.ts';
import { quantityAt, valuesAt } from './levels.ts';
import type { Segment } from './session.ts';

/** How many a need takes of what the script says, at a level. */
export function amountAtLevel(segment: Segment, need: Need, level: LevelName, things: ThingsByKey): Amount {
  return { ...amountAsWritten(need, things), qty: quantityAt(segment, need, level) };
}

/** What the lines of a part may refer to, as written at a level: its dials, and the things it names first, for one child. */
export function templateScope(segment: Segment, things: ThingsByKey, level: LevelName = segment.level): TemplateScope {
  const values = valuesAt(segment, level);
  const named = segment.needs.map((need) => {
    const quantity = amountFor(amountAtLevel(segment, need, level, things), 1, values);
    return [need.id, { ...namesOf(need.item, things), qty: quantity.ok ? roundUp(quantity.value) : 0 }] as const;
  });
  return { values, things: Object.fromEntries(named) };
}
