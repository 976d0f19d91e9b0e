import { roundUp } from '../expressions/index.ts';
import { fetchOf, type FittedPart, type HomeFit, isPermitted, kitOf, type ServedNeed } from '../homes/index.ts';
import { namesOf, type ThingsByKey } from '../materials/index.ts';
import type { GuideSegment, GuideThing } from './guide.ts';

/** The fetch list: quantities by thing over the whole session, as this home has them. */
export function thingsToFetch(fit: HomeFit, things: ThingsByKey): GuideThing[] {
  const all = fit.parts.filter(({ isLeftOut }) => !isLeftOut).flatMap(({ served }) => served);
  const bags = new Map(kitOf(fit.parts).map(({ item, qty }) => [item, qty]));
  return fetchOf(fit).map(({ item, qty }): GuideThing => {
    const uses = all.filter((use) => use.item === item && use.qty > 0);
    const swapped = uses.find(({ swap }) => swap);
    const source = sourceOf(uses);
    const inBag = bags.get(item) ?? 0;
    return {
      item,
      name: nameFor(item, qty, things),
      qty,
      insteadOf: swapped && namesOf(swapped.need.item, things).many,
      insteadOfItem: swapped?.need.item,
      why: swapped?.swap?.why || undefined,
      source,
      ...(source === 'kit' && inBag < qty && { kitQty: inBag }),
      ...(uses.some(({ source }) => source === 'missing') && { elseDo: elseDo(uses, fit, things) }),
    };
  });
}

function sourceOf(uses: readonly ServedNeed[]): GuideThing['source'] {
  if (uses.some(({ source }) => source === 'missing')) return 'missing';
  return uses.some(({ source }) => source === 'kit') ? 'kit' : 'home';
}

/** What else would do for a missing thing, may be used there and is not known to be lacking, each name once. */
export function elseDo(uses: readonly ServedNeed[], { household, home }: HomeFit, things: ThingsByKey): string[] {
  const names = uses
    .filter(({ source }) => source === 'missing')
    .flatMap(({ need, item }) =>
      [need.item, ...need.swaps.map((swap) => swap.item)].filter(
        (other) => other !== item && !home.hasNot?.includes(other) && isPermitted(other, need, things, household),
      ),
    )
    .map((other) => namesOf(other, things).many);
  return [...new Set(names)].slice(0, MOST_NAMED);
}

/** Other things that are named for a missing one. */
const MOST_NAMED = 3;

/** One or many of a thing, for so many. */
export function nameFor(item: string, qty: number, things: ThingsByKey): string {
  const names = namesOf(item, things);
  return qty === 1 ? names.one : names.many;
}

/** What this home has not for a part and nobody gives out. */
export function missingIn(
  { served }: FittedPart,
  { fit, things }: { readonly fit: HomeFit; readonly things: ThingsByKey },
): Pick<GuideSegment, 'missing'> {
  const lacked = served.filter(({ source, need, qty }) => source === 'missing' && !need.optional && qty > 0);
  if (lacked.length === 0) return {};
  return {
    missing: lacked.map((use) => ({
      name: nameFor(use.item!, roundUp(use.qty), things),
      elseDo: elseDo([use], fit, things),
    })),
  };
}
