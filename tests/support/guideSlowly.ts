import type { Input, Need, Swap, Values } from './guideAtRandom.ts';

/** A guide worked out by trying every combination of picks, to compare with; it shares no code with the core. */

const evaluate = (source: string, values: Values): number => {
  const sum = (from: number, to: number) => {
    let total = 0;
    for (let number = from; number <= to; number++) total += number;
    return total;
  };
  const names = ['sum', 'max', 'ceil', ...Object.keys(values)];
  return Function(...names, `return ${source}`)(sum, Math.max, Math.ceil, ...Object.values(values)) as number;
};

/** Months from the last day of the month of birth. */
function ageOn(birthMonth: string, on: string): number {
  const [year, month] = birthMonth.split('-').map(Number) as [number, number];
  let months = -1;
  for (let step = 0; ; step++) {
    const lastDay = new Date(Date.UTC(year, month + step, 0)).toISOString().slice(0, 10);
    if (lastDay > on) return months;
    months = step;
  }
}

export function slowGuide({ file, assumeCommon }: Input) {
  const home = file.homes[0]!;
  const { on } = file.sessions[0]!;
  const children = Math.max(1, home.children.length);
  const youngest =
    home.children.length === 0
      ? 0
      : Math.min(...home.children.map(({ birthMonth }) => Math.max(0, ageOn(birthMonth, on))));
  const mouthing = home.children.some((child) => 'mouthing' in child);
  const thing = (key: string) => file.things.find((candidate) => candidate.key === key)!;
  const isSmall = youngest < 36 || mouthing;
  const stopped = (trait: string) =>
    (['small-parts', 'handled', 'choking-food'].includes(trait) && isSmall) ||
    (trait === 'cords' && youngest < 36) ||
    (trait === 'not-for-eating' && mouthing);
  const permitted = (key: string) =>
    !thing(key).traits.some(stopped) && !thing(key).allergens.some((allergen) => home.allergens.includes(allergen));
  const parts = file.activities.map((activity) => {
    const options = activity.needs.map(({ item, swaps }) =>
      [{ item, fit: 1, why: '' } as Swap, ...swaps]
        .map((option, place) => ({ ...option, place }))
        .filter((option) => permitted(option.item)),
    );
    const leftOut =
      activity.needs.some((need, index) => !need.optional && options[index]!.length === 0) ||
      (activity.actions as string[]).some(stopped);
    return {
      activity,
      options,
      leftOut,
      base: Object.fromEntries(activity.dials.map(({ name, value }) => [name, value])),
    };
  });
  type Part = (typeof parts)[number];
  type Pick = Part['options'][number][number] | null;
  const amount = (need: Need, option: Swap, values: Values, qty = need.qty) => {
    const whole = evaluate(qty, values) * (need.per === 'child' ? children : 1);
    return option.qty
      ? evaluate(option.qty, {
          ...values,
          need: whole,
          places: (thing(option.item) as { places?: number }).places ?? 0,
        })
      : whole;
  };
  /** The dials that picks and kits set; null when they exclude each other. */
  const setsOf = ({ activity, options }: Part, picks: readonly Pick[]): { sets: Values; used: Pick[] } | null => {
    const spared = activity.needs.map((need, index) => need.optional && picks[index] === null);
    const used = picks.map((pick, index) => (spared[index] ? null : (pick ?? options[index]![0] ?? null)));
    const sets: Values = {};
    for (const option of used)
      for (const [dial, value] of Object.entries(option?.sets ?? {})) {
        if (dial in sets && sets[dial] !== value) return null;
        sets[dial] = value;
      }
    return { sets, used };
  };
  const combinations = (part: Part): Pick[][] =>
    part.options.reduce<Pick[][]>(
      (lists, options) => lists.flatMap((list) => [...options, null].map((option) => [...list, option])),
      [[]],
    );
  const tally = (uses: { part: number; item: string; use: string; qty: number }[]) => {
    const totals: Values = {};
    for (const item of new Set(uses.map((use) => use.item))) {
      const of = uses.filter((use) => use.item === item);
      const usedUp = of.filter(({ use }) => use === 'used-up').reduce((total, { qty }) => total + qty, 0);
      const lasting = parts.map((_, part) =>
        of.filter((use) => use.use === 'lasting' && use.part === part).reduce((total, { qty }) => total + qty, 0),
      );
      totals[item] = usedUp + Math.max(...lasting);
    }
    return totals;
  };
  const isAssumed = (item: string) =>
    Boolean(assumeCommon) &&
    thing(item).common >= 0.8 &&
    !home.things.some((entry) => entry.item === item) &&
    !(home.hasNot ?? []).includes(item);
  const held = (item: string) =>
    isAssumed(item) ? thing(item).usualQty : (home.things.find((entry) => entry.item === item)?.qty ?? 0);
  /** The best picks of some parts, all combinations tried in order of preference among equals. */
  const bestOf = (indexes: number[]) => {
    let best: { score: number[]; picks: Pick[][] } | null = null;
    const visit = (at: number, picks: Pick[][]) => {
      if (at < indexes.length) {
        for (const list of combinations(parts[indexes[at]!]!)) {
          const set = setsOf(parts[indexes[at]!]!, list);
          if (set) visit(at + 1, [...picks, list]);
        }
        return;
      }
      const uses = indexes.flatMap((index, place) => {
        const part = parts[index]!;
        const values = { ...part.base, ...setsOf(part, picks[place]!)!.sets };
        return part.activity.needs.flatMap((need, needIndex) => {
          const pick = picks[place]![needIndex];
          return pick ? [{ part: index, item: pick.item, use: need.use, qty: amount(need, pick, values) }] : [];
        });
      });
      if (Object.entries(tally(uses)).some(([item, qty]) => qty > held(item) + 1e-9)) return;
      const flat = picks.flat();
      const score = [
        flat.filter(Boolean).length,
        Math.round(flat.reduce((total, pick) => total + (pick?.fit ?? 0), 0) * 1e6),
        flat.filter((pick) => pick?.place === 0).length,
        ...flat.map((pick) => -(pick?.place ?? 99)),
      ];
      const first = score.findIndex((value, index) => value !== best?.score[index]);
      if (!best || (first >= 0 && score[first]! > best.score[first]!)) best = { score, picks };
    };
    visit(0, []);
    return best as { picks: Pick[][] } | null;
  };
  const done = parts.flatMap((part, index) => (part.leftOut ? [] : [index]));
  const doneBest = bestOf(done);
  const picksOf = parts.map((part, index) =>
    part.leftOut ? bestOf([index])?.picks[0] : doneBest?.picks[done.indexOf(index)],
  );
  if (picksOf.some((picks) => !picks)) return null;
  const sets = parts.map((part, index) => setsOf(part, picksOf[index]!)!);
  const usesAt = (levels: readonly string[]) =>
    parts.flatMap((part, index) => {
      if (part.leftOut) return [];
      const values = { ...part.base, ...part.activity.levels[levels[index]!]?.dials, ...sets[index]!.sets };
      return part.activity.needs.flatMap((need, needIndex) => {
        const option = sets[index]!.used[needIndex];
        const qty = part.activity.levels[levels[index]!]?.qty?.[need.id] ?? need.qty;
        const isThere = picksOf[index]![needIndex] !== null;
        return option
          ? [{ part: index, item: option.item, use: need.use, qty: amount(need, option, values, qty), isThere }]
          : [];
      });
    });
  const rights = parts.map(() => 'right');
  const totals = (levels: readonly string[]) =>
    Object.entries(tally(usesAt(levels)))
      .map(([item, qty]) => ({ item, qty: Math.ceil(qty - 1e-9) }))
      .sort((left, right) => (left.item < right.item ? -1 : 1));
  const lacking = tally(usesAt(rights).filter(({ isThere }) => !isThere));
  const wanted = totals(rights).filter(({ qty }) => qty > 0);
  const fetch = wanted.map(({ item, qty }) => {
    const isGivenOut = (thing(item).givesOut ?? 0) >= Math.ceil((lacking[item] ?? 0) - 1e-9);
    const isLacking =
      lacking[item] !== undefined && usesAt(rights).some((use) => use.item === item && !use.isThere && use.qty > 0);
    return { item, qty, kit: isLacking && isGivenOut, missing: isLacking && !isGivenOut };
  });
  const segments = parts.map((part, index) => {
    const used = sets[index]!.used;
    const isSpared = (needIndex: number) => used[needIndex] === null && part.activity.needs[needIndex]!.optional;
    const nameOf = (needIndex: number) => `${used[needIndex]?.item ?? part.activity.needs[needIndex]!.item}`;
    const level = (name: string) => {
      const change = part.activity.levels[name];
      if (name !== 'right' && (!change || (Object.keys(change.dials).length === 0 && !change.lines))) return null;
      const values: Values = { ...part.base, ...change?.dials, ...sets[index]!.sets };
      const { n, m } = values as { n: number; m: number };
      const first = part.activity.needs[0]!;
      const count = used[0]
        ? Math.ceil(amount(first, used[0], values, change?.qty?.[first.id] ?? first.qty) - 1e-9)
        : 0;
      const lines = change?.lines
        ? [
            {
              kind: 'do',
              text: `Now ${n}, ${n + m * 2}, ${count} ${nameOf(0)} ${count === 1 ? 'piece' : 'pieces'}.`,
              answer: null,
              about: [0],
            },
          ]
        : [
            {
              kind: 'do',
              text: `Lay ${n} and ${m}, that is ${n * m + 1}, with ${part.activity.needs.map((_, needIndex) => `${nameOf(needIndex)} pieces`).join(', ')}.`,
              answer: null,
              about: part.activity.needs.map((_, needIndex) => needIndex),
            },
            { kind: 'ask', text: `“How many?” ${n === 1 ? 'one' : 'more'}`, answer: String(n + m) },
            ...part.activity.needs.map((_, needIndex) => ({
              kind: 'do',
              text: `Use ${used[needIndex]?.item ?? part.activity.needs[needIndex]!.item} piece.`,
              answer: null,
              about: [needIndex],
            })),
          ];
      const more = part.leftOut
        ? []
        : totals(rights.with(index, name)).flatMap(({ item, qty }) => {
            const extra = qty - (fetch.find((entry) => entry.item === item)?.qty ?? 0);
            return extra > 0 ? [{ item, qty: extra }] : [];
          });
      return {
        lines: lines
          .filter(({ about = [] }) => about.length === 0 || about.some((needIndex) => !isSpared(needIndex)))
          .map(({ kind, text, answer }) => ({ kind, text, answer })),
        fetch: more,
        note: change ? change.text.replace('{n}', String(n)).replace('{m}', String(m)) : null,
      };
    };
    return {
      title: part.activity.title,
      leftOut: part.leftOut,
      withheld: part.activity.needs
        .filter((_, needIndex) => part.options[needIndex]!.length === 0)
        .map(({ item }) => item),
      dials: { ...part.base, ...sets[index]!.sets },
      levels: { easier: level('easier'), right: level('right'), harder: level('harder') },
    };
  });
  const isDone = (index: number) => !parts[index]!.leftOut;
  const isShort = parts.some(
    ({ activity, leftOut }, index) =>
      leftOut || picksOf[index]!.some((pick, needIndex) => pick === null && !activity.needs[needIndex]!.optional),
  );
  const isReady = parts.every(
    ({ activity }, index) =>
      !isDone(index) ||
      picksOf[index]!.every((pick, needIndex) => pick?.place === 0 || (!pick && activity.needs[needIndex]!.optional)),
  );
  const isLikely = parts.some(
    (_, index) => isDone(index) && picksOf[index]!.some((pick) => pick && isAssumed(pick.item)),
  );
  const state = isShort ? 'short' : isLikely ? 'likely' : isReady ? 'ready' : 'swaps';
  return { state, fetch, segments };
}
