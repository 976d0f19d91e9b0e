import { type CautionOverAges, cautionsOverAges } from '../../core/cautions/index.ts';
import { evaluateQuantity, roundUp } from '../../core/expressions/index.ts';
import { type ComposedLine, composeSegment, writeNote } from '../../core/guide/index.ts';
import { isWholeLevel, templateScope } from '../../core/session/index.ts';
import { asUsed } from '../../core/homes/index.ts';
import { namesOf, type Swap } from '../../core/materials/index.ts';
import { spreadOf, wholeMinutes } from '../../core/time/index.ts';
import { describeCaution } from '../../messages/cautions.ts';
import { leadWords } from '../../messages/spans.ts';
import { formatSum } from '../../messages/sums.ts';
import type { Person } from './person.ts';
import type { ShelfItemPage } from './shelfItem.ts';

/** How an item of the shelf is shown: minutes, ways, things with their sums, cautions and further facts, in words. */
export interface ShelfItemFacts {
  readonly minutes: readonly { readonly word: string; readonly value: number }[];
  readonly levels: readonly {
    readonly level: 'easier' | 'harder';
    readonly isTip: boolean;
    readonly note: string | undefined;
    readonly lines: readonly ComposedLine[];
  }[];
  readonly cautions: readonly ReturnType<typeof describeCaution>[];
  /** By need: how many with the dials as they stand, the sum behind it, and what else will do. */
  readonly needs: readonly { readonly number: string; readonly sum: string; readonly swaps: readonly string[] }[];
  readonly facts: readonly { readonly word: string; readonly text: string }[];
}

/** Works out what an item's page says. Nothing is asked of the database. */
export function describeShelfItem(page: ShelfItemPage, person: Pick<Person, 'settings'>): ShelfItemFacts {
  const { segment, things } = page;
  const scope = templateScope(segment, things);
  return {
    minutes: minutesOf(page),
    levels: levelsOf(page),
    cautions: cautionsOf(page, person).map((caution) => describeCaution(caution, (item) => things[item]?.many)),
    needs: segment.needs.map(({ qty, swaps }) => {
      const amount = evaluateQuantity(qty, scope.values);
      return {
        number: amount.ok ? String(roundUp(amount.value)) : '?',
        sum: typeof qty === 'string' && Number.isNaN(Number(qty)) ? formatSum(qty) : '',
        swaps: swaps.map((swap) => describeSwap(swap, page)),
      };
    }),
    facts: factsOf(page),
  };
}

function minutesOf({ composed }: ShelfItemPage): ShelfItemFacts['minutes'] {
  const likely = (triple: ShelfItemPage['composed']['setup']) => wholeMinutes(spreadOf(triple).mean);
  return [
    { word: 'setting up', value: likely(composed.setup) },
    { word: 'together', value: likely(composed.together) },
    { word: 'then alone', value: likely(composed.alone) },
    { word: 'tidying', value: likely(composed.tidy) },
  ].filter(({ value }) => value > 0);
}

function levelsOf({ segment, things }: ShelfItemPage): ShelfItemFacts['levels'] {
  return (['easier', 'harder'] as const).flatMap((level) => {
    const change = segment.levels[level];
    if (!change) return [];
    const scope = templateScope(segment, things, level);
    const lines = isWholeLevel(change) ? composeSegment(segment, scope, level).lines : [];
    return [{ level, isTip: !isWholeLevel(change), note: writeNote(change, scope), lines }];
  });
}

function cautionsOf({ segment, things }: ShelfItemPage, { settings }: Pick<Person, 'settings'>): CautionOverAges[] {
  const items = segment.needs.flatMap((need) => (things[need.item] ? [asUsed(things[need.item]!, need)] : []));
  return cautionsOverAges({ items, actions: segment.actions }, settings.cautions);
}

/** A swap with how many of it where it is not one for one, and the dials it sets. */
function describeSwap({ item, qty, sets = {} }: Swap, { segment, things }: ShelfItemPage): string {
  const scope = templateScope(segment, things);
  const amount = qty === undefined ? null : evaluateQuantity(qty, { ...scope.values, ...sets });
  const number = amount?.ok ? roundUp(amount.value) : null;
  const { one, many } = namesOf(item, things);
  const dials = Object.entries(sets).map(([name, value]) => {
    const label = segment.dials.find((dial) => dial.name === name)?.label ?? name;
    return `${label}: ${value}`;
  });
  const name = number === null ? many : `${number} ${number === 1 ? one : many}`;
  return dials.length > 0 ? `${name} (then ${dials.join(', ')})` : name;
}

function factsOf({ segment, shelf }: ShelfItemPage): ShelfItemFacts['facts'] {
  const activity = shelf.activities.find(({ key }) => key === segment.from);
  const ahead = segment.ahead.map(
    ({ who, text, ...lead }) => `${who === 'home' ? 'Homes' : 'You'}, ${leadWords(lead)}: ${text}`,
  );
  return [
    { word: 'Where', text: segment.where },
    { word: 'Surface', text: segment.surface },
    { word: 'Sitting', text: segment.seating },
    { word: 'Another way', text: segment.access },
    { word: 'Kept for later', text: segment.kind === 'activity' ? (activity?.keeps ?? '') : '' },
    { word: 'Only in', text: segment.kind === 'activity' ? (activity?.seasons ?? []).join(', ') : '' },
    { word: 'Before the day', text: ahead.join(' ') },
  ].filter(({ text }) => text);
}
