import { useMemo, useState } from 'react';
import { ALLERGENS } from '../../contracts/cautions.ts';
import { activitiesFor, countHomes, doableNow, householdOn, type Inventory } from '../../core/homes/index.ts';
import type { StockItem } from '../../core/materials/index.ts';
import { FoundActivities } from './FoundActivities.tsx';
import { BasketPanel } from './BasketPanel.tsx';

const OWN = 'own';
const ALL = 'all';
const YEARS = [1, 2, 3, 4, 5, 6, 7];
const CHILDREN = [1, 2, 3, 4];

interface Room {
  readonly years: number;
  readonly children: number;
  readonly isMouthing: boolean;
  readonly avoided: readonly string[];
}

const USUAL_ROOM: Room = { years: 3, children: 1, isMouthing: false, avoided: [] };

/** "What we have": tick things, or take a home's, and see at once what can be done with them. */
export function WhatWeHave({ things, known, choices, homes, today, policy }: Inventory) {
  const [from, setFrom] = useState<string>(OWN);
  const [ticked, setTicked] = useState<Ticked>({});
  const [room, setRoom] = useState<Room>(USUAL_ROOM);
  const home = homes.find(({ id }) => id === from);
  const household = useMemo(() => {
    if (home) return householdOn(home, today, policy);
    const { years, isMouthing, avoided, children } = room;
    return { youngestMonths: years * 12, mouthing: isMouthing, allergens: avoided, children, policy };
  }, [home, today, policy, room]);
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
  return (
    <div className="grid grid-cols-[minmax(15rem,20rem)_minmax(0,1fr)_minmax(15rem,20rem)] max-[1000px]:grid-cols-1 [&>section]:min-w-0 [&>section]:px-5 [&>section]:pt-4 [&>section]:pb-12 [&>section+section]:border-l [&>section]:border-line">
      <section aria-label="What is there">
        <h2>What is there</h2>
        <WhoseThings {...{ from, homes }} onChoose={setFrom} />
        {from === OWN && <RoomFields room={room} onChange={(change) => setRoom({ ...room, ...change })} />}
        {from === OWN && <ThingTicks {...{ things, ticked }} onTick={setTicked} />}
        {home && <p className="text-sm">{stockInWords(home.stock, things)}</p>}
      </section>
      <FoundActivities {...{ found, byHomes, things }} isAllHomes={from === ALL} homeCount={homes.length} />
      <BasketPanel {...{ activities, things, youngestMonths }} />
    </div>
  );
}

function stockInWords(stock: readonly StockItem[], things: Inventory['things']): string {
  const named = stock.map(({ item, qty }) => {
    const thing = things.find(({ key }) => key === item);
    return `${qty} ${(qty === 1 ? thing?.one : thing?.many) ?? item}`;
  });
  return named.join(', ');
}

interface WhoseThingsProps {
  readonly from: string;
  readonly homes: Inventory['homes'];
  readonly onChoose: (from: string) => void;
}

function WhoseThings({ from, homes, onChoose }: WhoseThingsProps) {
  return (
    <label>
      <span className="text-sm text-soft">whose</span>
      <select className="select select-sm w-full" value={from} onChange={({ target }) => onChoose(target.value)}>
        <option value={OWN}>what I tick here</option>
        <option value={ALL}>all homes</option>
        {homes.map(({ id, nickname }) => (
          <option key={id} value={id}>
            {nickname}
          </option>
        ))}
      </select>
    </label>
  );
}

/** Who is in the room: ages, how many, what they put into mouths and what they must avoid. */
function RoomFields({ room, onChange }: { room: Room; onChange: (change: Partial<Room>) => void }) {
  const { years, children, isMouthing, avoided } = room;
  return (
    <>
      <label>
        <span className="text-sm text-soft">youngest in the room, years</span>
        <select
          className="select select-sm w-full"
          value={years}
          onChange={({ target }) => onChange({ years: Number(target.value) })}
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
          onChange={({ target }) => onChange({ children: Number(target.value) })}
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
          onChange={({ target }) => onChange({ isMouthing: target.checked })}
        />{' '}
        somebody still puts things into the mouth
      </label>
      <AvoidedThings avoided={avoided} onChange={(now) => onChange({ avoided: now })} />
    </>
  );
}

interface AvoidedThingsProps {
  readonly avoided: readonly string[];
  readonly onChange: (avoided: readonly string[]) => void;
}

function AvoidedThings({ avoided, onChange }: AvoidedThingsProps) {
  return (
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
              onChange(target.checked ? [...avoided, allergen] : avoided.filter((other) => other !== allergen))
            }
          />{' '}
          {allergen}
        </label>
      ))}
    </details>
  );
}

type Ticked = Readonly<Record<string, number>>;

interface ThingTicksProps {
  readonly things: Inventory['things'];
  readonly ticked: Ticked;
  readonly onTick: (ticked: Ticked) => void;
}

/** The things of the shelf to tick, found by a part of their names, each with how many there are. */
function ThingTicks({ things, ticked, onTick }: ThingTicksProps) {
  const [words, setWords] = useState('');
  const shown = things.filter(({ many, one }) => `${many} ${one}`.toLowerCase().includes(words.trim().toLowerCase()));
  const setQty = (key: string, qty: number | null) => {
    const { [key]: _, ...others } = ticked;
    onTick(qty === null ? others : { ...others, [key]: qty });
  };
  return (
    <>
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
          <button type="button" className="link link-primary" onClick={() => onTick({})}>
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
  );
}
