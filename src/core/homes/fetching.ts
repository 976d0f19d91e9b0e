import { type LevelName, quantityAt, valuesAt } from '../session/index.ts';
import { amountOf, type StockItem, tallyThings } from '../materials/index.ts';
import type { FittedPart, HomeFit, ServedNeed } from './homeFit.ts';
import type { Household } from './household.ts';

/** What a home fetches: by thing, used-up quantities added, lasting ones laid out again. Parts may be taken at another level. */
export function fetchOf(
  fit: Pick<HomeFit, 'parts' | 'household'>,
  levelOf?: ReadonlyMap<string, LevelName>,
): StockItem[] {
  const uses = fit.parts
    .filter(({ isLeftOut }) => !isLeftOut)
    .flatMap((part) => {
      const level = levelOf?.get(part.segment.id) ?? part.segment.level;
      return part.served.flatMap((served) => {
        const qty =
          level === part.segment.level ? served.qty : amountAt(part, served, { level, household: fit.household });
        return served.item === null ? [] : [{ segment: part.segment.id, item: served.item, use: served.need.use, qty }];
      });
    });
  return tallyThings(uses).filter(({ qty }) => qty > 0);
}

/** How many of what serves a need another level of its part asks for. */
function amountAt(
  { segment, sets }: FittedPart,
  { need, own, places }: ServedNeed,
  { level, household }: { level: LevelName; household: Household },
): number {
  const values = { ...valuesAt(segment, level), ...sets };
  const amount = amountOf(
    { qty: own, places },
    { need: { qty: quantityAt(segment, need, level), per: need.per }, values, children: household.children },
  );
  return amount ?? 0;
}

/** A home's kit by thing, counted as fetch lists are: used-up quantities added, of lasting ones the largest part. */
export function kitOf(parts: readonly FittedPart[]): StockItem[] {
  return tallyThings(
    parts
      .filter(({ isLeftOut }) => !isLeftOut)
      .flatMap(({ segment, served }) =>
        served.flatMap(({ item, qty, need, source }) =>
          source === 'kit' ? [{ segment: segment.id, item: item!, use: need.use, qty }] : [],
        ),
      ),
  );
}
