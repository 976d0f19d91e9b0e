/** Files for `calc guide` made at random from a seed: swaps that set dials, levels, children, retired things, allergens. */

export interface Swap {
  item: string;
  fit: number;
  why: string;
  qty?: string;
  sets?: Record<string, number>;
}
export interface Need {
  id: string;
  item: string;
  qty: string;
  per: 'home' | 'child';
  use: 'lasting' | 'used-up';
  swaps: Swap[];
  optional?: boolean;
}
export interface Level {
  text: string;
  dials: Record<string, number>;
  lines?: { id: string; kind: string; text: string }[];
  qty?: Record<string, string>;
}
export interface Activity {
  key: string;
  title: string;
  dials: { name: string; value: number }[];
  needs: Need[];
  lines: { id: string; kind: string; text: string; answer?: string }[];
  levels: Record<string, Level>;
}
export type Values = Record<string, number>;

/** Whole numbers from 0 by a small generator, so that a failing case can be run again by its seed. */
function randomFrom(seed: number): (below: number) => number {
  let state = seed * 2654435761 + 1;
  return (below) => {
    state = (Math.imul(state ^ (state >>> 15), 2246822519) + 374761393) >>> 0;
    return (state >>> 8) % below;
  };
}

const TRAITS = ['countable', 'small-parts', 'cords', 'choking-food', 'not-for-eating', 'handled'];

export function randomFile(seed: number) {
  const below = randomFrom(seed);
  const maybe = (percent: number) => below(100) < percent;
  const pick = <Value>(values: readonly Value[]) => values[below(values.length)]!;
  const items = Array.from({ length: 5 }, (_, index) => `item-${index}`);
  const things = items.map((key) => ({
    key,
    one: `${key} piece`,
    many: `${key} pieces`,
    traits: ['countable', ...(maybe(30) ? [pick(TRAITS)] : [])].filter(
      (trait, index, all) => all.indexOf(trait) === index,
    ),
    allergens: maybe(15) ? ['egg'] : [],
    usualQty: pick([3, 6, 12]),
    common: pick([0.5, 0.8, 0.79, 1]),
    ...(maybe(50) && { givesOut: pick([0, 3, 10, 30]) }),
    ...(maybe(30) && { places: pick([2, 4, 6]) }),
    ...(maybe(20) && { retired: true }),
  }));
  const places = new Map(things.flatMap((thing) => ('places' in thing ? [[thing.key, thing.places as number]] : [])));
  const activity = (at: number): Activity & Record<string, unknown> => {
    const needs = Array.from({ length: 1 + below(3) }, (_, index): Need => {
      const own = pick(items);
      const others = items.filter((item) => item !== own).sort(() => below(3) - 1);
      const swaps = others.slice(0, below(3)).map((item): Swap => ({
        item,
        fit: below(21) / 20,
        why: 'it will do',
        ...(maybe(40) && { sets: { [pick(['n', 'm'])]: 1 + below(6) } }),
        ...(maybe(25) && {
          qty: places.has(item) ? 'ceil(need/places)' : pick(['ceil(need/2)', 'need*2', 'n+1', '1']),
        }),
      }));
      return {
        id: `need${index}`,
        item: own,
        qty: pick(['n', 'm+2', 'n*m', 'sum(1,n)', 'max(n,m)', '1']),
        per: pick(['home', 'home', 'child']),
        use: pick(['lasting', 'used-up']),
        swaps,
        ...(maybe(25) && { optional: true }),
      };
    });
    const level = (): Level => ({
      text: maybe(50) ? 'With {n} and {m}.' : 'So.',
      dials: maybe(75) ? { [pick(['n', 'm'])]: 1 + below(6) } : {},
      ...(maybe(25) && { lines: [{ id: 'own', kind: 'do', text: 'Now {n}, {=n+m*2}, {@need0|count}.' }] }),
      ...(maybe(20) && { qty: { need0: 'n+m+1' } }),
    });
    return {
      key: `play-${at}`,
      title: `Play ${at}`,
      idea: 'A try.',
      themes: [],
      ages: { fromMonths: 24, toMonths: 84 },
      mess: 0,
      noise: 0,
      aim: 'Counts.',
      skills: ['count-out'],
      dials: ['n', 'm'].map((name) => ({ name, label: name, min: 1, max: 6, value: 1 + below(6) })),
      lines: [
        {
          id: 'l1',
          kind: 'do',
          text: `Lay {n} and {m}, that is {=n*m+1}, with ${needs.map(({ id }) => `{@${id}}`).join(', ')}.`,
        },
        { id: 'l2', kind: 'ask', text: '“How many?” {n:one|more}', answer: '{=n+m}' },
        ...needs.map(({ id }) => ({ id: `use-${id}`, kind: 'do', text: `Use {@${id}|one}.` })),
      ],
      needs,
      minutes: { setup: [1, 2, 3], together: [4, 6, 9], alone: [0, 0, 0], tidy: [1, 1, 2] },
      posture: 'seated',
      where: 'at the table',
      surface: 'flat',
      seating: 'side by side',
      size: 'home',
      levels: { ...(maybe(60) && { easier: level() }), ...(maybe(60) && { harder: level() }) },
      ahead: [],
      actions: maybe(10) ? ['cords'] : [],
      access: 'Say it.',
    };
  };
  const activities = Array.from({ length: 1 + below(2) }, (_, index) => activity(index));
  const children = Array.from({ length: below(3) }, (_, index) => ({
    nickname: `Kid${index}`,
    birthMonth: pick(['2021-11', '2023-02', '2024-03', '2024-09']),
    loves: 'maps',
    ...(maybe(20) && { mouthing: true }),
  }));
  const said = items.map(() => pick(['has', 'has', 'has-not', 'not-asked']));
  return {
    file: {
      format: 'footstool',
      version: 1,
      things,
      activities,
      homes: [
        {
          nickname: 'Here',
          contact: '',
          language: 'en',
          allergens: maybe(40) ? ['egg'] : [],
          children,
          things: items
            .filter((_, index) => said[index] === 'has')
            .map((item) => ({ item, qty: pick([1, 3, 5, 8, 12, 20, 40]) })),
          ...(maybe(70) && { hasNot: items.filter((_, index) => said[index] === 'has-not') }),
        },
      ],
      sessions: [
        {
          title: 'Try',
          on: pick(['2027-03-04', '2027-03-31']),
          ages: { fromMonths: 24, toMonths: 84 },
          aim: '',
          parts: activities.map(({ key }) => ({ kind: 'activity', key })),
        },
      ],
    },
    session: 'Try',
    home: 'Here',
    ...(maybe(40) && { assumeCommon: true }),
  };
}

export type Input = ReturnType<typeof randomFile>;
