import { useMemo, useState } from 'react';
import { ALLERGENS } from '../../contracts/cautions.ts';
import { householdOn } from '../../core/homes/household.ts';
import { activitiesFor } from '../../core/homes/inventory.ts';
import { countHomes, doableNow } from '../../core/homes/feasibleActivities.ts';
import type { StockItem } from '../../core/materials/swaps.ts';
import { FoundActivities } from './FoundActivities.tsx';
import { BasketPanel } from './BasketPanel.tsx';
import type { HaveProps } from './haveTypes.ts';

const OWN = 'own';
const ALL = 'all';
const YEARS = [1, 2, 3, 4, 5, 6, 7];
const CHILDREN = [1, 2, 3, 4];

/** "What we have": tick things, or take a home's, and see at once what can be done with them. */
export function WhatWeHave({ things, known, choices, homes, today, policy }: HaveProps) {
  const [from, setFrom] = useState<string>(OWN);
  const [ticked, setTicked] = useState<Readonly<Record<string, number>>>({});
  const [years, setYears] = useState(3);
  const [children, setChildren] = useState(1);
  const [isMouthing, setIsMouthing] = useState(false);
  const [avoided, setAvoided] = useState<readonly string[]>([]);
  const [words, setWords] = useState('');
  const home = homes.find(({ id }) => id === from);
  const household = useMemo(
    () =>
      home
        ? householdOn(home, today, policy)
        : { youngestMonths: years * 12, mouthing: isMouthing, allergens: avoided, children, policy },
    [home, today, policy, years, isMouthing, avoided, children],
  );
  const { youngestMonths } = household;
  const activities = useMemo(() => activitiesFor(choices, household, known), [choices, household, known]);
  const stock: readonly StockItem[] = useMemo(
    () => home?.stock ?? Object.entries(ticked).map(([item, qty]) => ({ item, qty })),
    [home, ticked],
  );
  const found = useMemo(
    () => (from === ALL ? [] : doableNow(activities, stock, youngestMonths)),
    [from, activities, stock, youngestMonths],
  );
  const byHomes = useMemo(
    () =>
      from !== ALL
        ? []
        : countHomes(
            homes.map((each) => ({
              stock: each.stock,
              activities: activitiesFor(choices, householdOn(each, today, policy), known),
            })),
          ),
    [from, choices, homes, today, policy, known],
  );
  const shown = things.filter(({ many, one }) => `${many} ${one}`.toLowerCase().includes(words.trim().toLowerCase()));
  const setQty = (key: string, qty: number | null) =>
    setTicked(({ [key]: _, ...others }) => (qty === null ? others : { ...others, [key]: qty }));
  return (
    <div className="grid grid-cols-[minmax(15rem,20rem)_minmax(0,1fr)_minmax(15rem,20rem)] [&>section]:pt-4 [&>section]:pb-12 [&>section]:px-5 [&>section]:border-r [&>section]:border-r-line [&>section]:min-w-0 [&>section:last-child]:border-r-0 max-[1000px]:grid-cols-[1fr] max-[1000px]:[&>section]:border-r-0 max-[1000px]:[&>section]:border-b max-[1000px]:[&>section]:border-b-line">
      <section aria-label="What is there">
        <h2>What is there</h2>
        <label>
          <span className="text-sm text-soft">whose</span>
          <select className="select select-sm w-full" value={from} onChange={({ target }) => setFrom(target.value)}>
            <option value={OWN}>what I tick here</option>
            <option value={ALL}>all homes</option>
            {homes.map(({ id, nickname }) => (
              <option key={id} value={id}>
                {nickname}
              </option>
            ))}
          </select>
        </label>
        {from === OWN && (
          <>
            <label>
              <span className="text-sm text-soft">youngest in the room, years</span>
              <select
                className="select select-sm w-full"
                value={years}
                onChange={({ target }) => setYears(Number(target.value))}
              >
                {YEARS.map((age) => (
                  <option key={age}>{age}</option>
                ))}
              </select>
            </label>
            <label>
              <span className="text-sm text-soft">children</span>
              <select
                className="select select-sm w-full"
                value={children}
                onChange={({ target }) => setChildren(Number(target.value))}
              >
                {CHILDREN.map((count) => (
                  <option key={count}>{count}</option>
                ))}
              </select>
            </label>
            <label className="text-sm">
              <input
                className="checkbox checkbox-sm"
                type="checkbox"
                checked={isMouthing}
                onChange={({ target }) => setIsMouthing(target.checked)}
              />{' '}
              somebody still puts things into the mouth
            </label>
            <details className="text-sm">
              <summary className="min-h-6 cursor-pointer py-1">
                Allergies and things to avoid{avoided.length > 0 && `: ${avoided.join(', ')}`}
              </summary>
              {ALLERGENS.map((allergen) => (
                <label key={allergen} className="mr-3 inline-block">
                  <input
                    className="checkbox checkbox-sm"
                    type="checkbox"
                    checked={avoided.includes(allergen)}
                    onChange={({ target }) =>
                      setAvoided(
                        target.checked ? [...avoided, allergen] : avoided.filter((other) => other !== allergen),
                      )
                    }
                  />{' '}
                  {allergen}
                </label>
              ))}
            </details>
            <input
              className="input input-sm w-full"
              type="search"
              aria-label="Find a thing"
              placeholder="find a thing"
              value={words}
              onChange={({ target }) => setWords(target.value)}
            />
            <p className="text-sm text-soft">
              {Object.keys(ticked).length} ticked{' '}
              {Object.keys(ticked).length > 0 && (
                <button type="button" className="link link-primary" onClick={() => setTicked({})}>
                  none
                </button>
              )}
            </p>
            <div
              className="grid gap-[0.05rem] max-h-[calc(100vh_-_19rem)] overflow-y-auto mt-2 text-sm [&_label]:flex [&_label]:gap-2 [&_label]:items-center [&_label]:py-[0.1rem] [&_label]:px-[0.2rem] [&_label:hover]:bg-paper [&_input[type='number']]:w-[3.6rem] [&_input[type='number']]:ml-auto"
              role="group"
              aria-label="Things"
              tabIndex={0}
            >
              {shown.map(({ key, many, usualQty }) => (
                <label key={key}>
                  <input
                    className="checkbox checkbox-sm"
                    type="checkbox"
                    checked={key in ticked}
                    onChange={({ target }) => setQty(key, target.checked ? usualQty : null)}
                  />
                  {many}
                  {key in ticked && (
                    <input
                      className="input input-sm w-18"
                      type="number"
                      min={0}
                      max={1000}
                      aria-label={`How many ${many}`}
                      value={ticked[key]}
                      onChange={({ target }) => setQty(key, Math.max(0, Math.min(1000, target.valueAsNumber || 0)))}
                    />
                  )}
                </label>
              ))}
            </div>
          </>
        )}
        {home && (
          <p className="text-sm">
            {home.stock
              .map(({ item, qty }) => {
                const thing = things.find(({ key }) => key === item);
                return `${qty} ${(qty === 1 ? thing?.one : thing?.many) ?? item}`;
              })
              .join(', ')}
          </p>
        )}
      </section>
      <FoundActivities {...{ found, byHomes, things }} isAllHomes={from === ALL} homeCount={homes.length} />
      <BasketPanel {...{ activities, things, youngestMonths }} />
    </div>
  );
}
