import { readRulings, removeRuling, writeRuling } from '../db/repositories/swapRulings.ts';
import { findSwaps, type SwapProposal, type SwapRuling, type ThingsByKey } from '../../core/materials/index.ts';
import { activitiesFor, usesOf } from '../../core/homes/index.ts';
import { checkForm } from '../../contracts/problems.ts';
import { rulingForm } from '../../contracts/forms.ts';
import type { ThingEntry } from '../../contracts/shelfFile.ts';
import { readShelf, thingsByKey, readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { asShelfChoice } from './inventory.ts';
import { requireAuthor, type Person } from './person.ts';

export interface ThingPage {
  readonly thing: ThingEntry;
  readonly things: ThingsByKey;
  readonly uses: ReturnType<typeof usesOf>;
  readonly swaps: readonly SwapProposal[];
  readonly rulings: readonly SwapRuling[];
}

/** A household that may have everything, to see what a thing is good for at all. */
const ANYBODY = { youngestMonths: 1200, allergens: [], children: 1 };

/** One thing: what it is good for, and what else will do in its place for so many and so young. Two queries. */
export async function readThingPage(
  person: Person,
  key: string,
  { qty, youngestMonths }: { qty: number; youngestMonths: number },
): Promise<ThingPage> {
  const [shelf, rulings] = await Promise.all([
    readShelf(person.programmeId, ['thing', 'activity']),
    readRulings(person.programmeId),
  ]);
  const thing = shelf.things.find((entry) => entry.key === key);
  if (!thing) throw new EdgeError('not-found');
  const things = thingsByKey(shelf.things);
  const policy = person.settings.cautions;
  const ofThis = rulings.filter(({ wanted }) => wanted === key);
  return {
    thing,
    things,
    rulings: ofThis,
    uses: usesOf(key, activitiesFor(shelf.activities.map(asShelfChoice), { ...ANYBODY, policy }, things)),
    swaps: findSwaps({
      wanted: thing,
      qty,
      youngestMonths,
      allergens: [],
      things: shelf.things,
      rulings: ofThis,
      policy,
    }),
  };
}

/** Remembers (or forgets) what an author decides about one thing in place of another. */
export async function ruleOnSwap(person: Person, wanted: string, fields: Record<string, unknown>): Promise<void> {
  requireAuthor(person);
  const checked = checkForm(rulingForm, fields);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const { item, verdict, fit, why } = checked.value;
  const { things } = await readShelf(person.programmeId, ['thing']);
  const isKnown = (key: string) => things.some((thing) => thing.key === key);
  if (!isKnown(wanted) || !isKnown(item) || item === wanted)
    throw new EdgeError('wrong-input', { problems: [{ path: 'item', message: 'must be another thing of the shelf' }] });
  if (verdict === 'forget') await removeRuling(person.programmeId, { wanted, item });
  else await writeRuling(person.programmeId, { wanted, item, verdict, fit, why }, person.userId);
}

/** What a form says of a thing, with its key in the place of the name it was written by. One query where it is a name. */
export async function withKeyOfThing(person: Person, fields: Record<string, string>): Promise<Record<string, string>> {
  const wanted = (fields.item ?? '').trim().toLowerCase();
  if (fields.verdict !== 'use' || wanted === '') return fields;
  const things = Object.values(await readThings(person.programmeId));
  const thing = things.find(({ key, one, many }) => [key, one, many].some((name) => name.toLowerCase() === wanted));
  if (!thing)
    throw new EdgeError('wrong-input', {
      problems: [
        { path: 'item', message: `“${fields.item!.slice(0, 80)}” is not on the shelf; pick one from the list` },
      ],
    });
  return { ...fields, item: thing.key };
}
