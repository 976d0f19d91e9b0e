import { useMemo, useState } from 'react';
import { doableNow, homesThatCan } from '../../core/materials/whatWeHave.ts';
import type { StockItem } from '../../core/materials/swaps.ts';
import { FoundActivities } from './FoundActivities.tsx';
import { BasketPanel } from './BasketPanel.tsx';
import type { HaveProps } from './haveTypes.ts';

const OWN = 'own';
const ALL = 'all';
const YEARS = [1, 2, 3, 4, 5, 6, 7];

/** "What we have": tick things, or take a home's, and see at once what can be done with them. */
export function WhatWeHave({ things, activities, homes }: HaveProps) {
  const [from, setFrom] = useState<string>(OWN);
  const [ticked, setTicked] = useState<Readonly<Record<string, number>>>({});
  const [years, setYears] = useState(3);
  const [words, setWords] = useState('');
  const home = homes.find(({ id }) => id === from);
  const youngestMonths = home ? home.youngestMonths : years * 12;
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
        : activities
            .map((activity) => ({ activity, homes: homesThatCan(activity, homes) }))
            .filter((entry) => entry.homes > 0)
            .sort((left, right) => right.homes - left.homes),
    [from, activities, homes],
  );
  const shown = things.filter(({ many, one }) => `${many} ${one}`.toLowerCase().includes(words.trim().toLowerCase()));
  const setQty = (key: string, qty: number | null) =>
    setTicked(({ [key]: _, ...others }) => (qty === null ? others : { ...others, [key]: qty }));
  return (
    <div className="have">
      <section aria-label="What is there">
        <h2>What is there</h2>
        <label>
          <span className="small quiet">whose</span>
          <select value={from} onChange={({ target }) => setFrom(target.value)}>
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
              <span className="small quiet">youngest in the room, years</span>
              <select value={years} onChange={({ target }) => setYears(Number(target.value))}>
                {YEARS.map((age) => (
                  <option key={age}>{age}</option>
                ))}
              </select>
            </label>
            <input
              type="search"
              aria-label="Find a thing"
              placeholder="find a thing"
              value={words}
              onChange={({ target }) => setWords(target.value)}
            />
            <p className="small quiet">
              {Object.keys(ticked).length} ticked{' '}
              {Object.keys(ticked).length > 0 && (
                <button type="button" className="plain-button" onClick={() => setTicked({})}>
                  none
                </button>
              )}
            </p>
            <div className="have-things" role="group" aria-label="Things" tabIndex={0}>
              {shown.map(({ key, many, usualQty }) => (
                <label key={key}>
                  <input
                    type="checkbox"
                    checked={key in ticked}
                    onChange={({ target }) => setQty(key, target.checked ? usualQty : null)}
                  />
                  {many}
                  {key in ticked && (
                    <input
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
          <p className="small">
            {home.stock
              .map(({ item, qty }) => `${qty} ${things.find(({ key }) => key === item)?.many ?? item}`)
              .join(', ')}
          </p>
        )}
      </section>
      <FoundActivities {...{ found, byHomes, things }} isAllHomes={from === ALL} homeCount={homes.length} />
      <BasketPanel {...{ activities, things, youngestMonths }} />
    </div>
  );
}
