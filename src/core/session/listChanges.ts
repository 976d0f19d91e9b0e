/** A change of a list whose entries have ids; `after` names the entry before the place, null the front. */
export type ListChange<Entry> =
  | { readonly do: 'add'; readonly entry: Entry; readonly after: string | null }
  | { readonly do: 'remove'; readonly id: string }
  | { readonly do: 'move'; readonly id: string; readonly after: string | null };

type Listed = { readonly id: string };

/** What makes one list another, entries compared by id alone: removals, then what is new or elsewhere, in order. Equal lists: nothing. */
export function listChangesBetween<Entry extends Listed>(
  before: readonly Entry[],
  after: readonly Entry[],
): ListChange<Entry>[] {
  const now = new Set(after.map(({ id }) => id));
  const places = new Map(before.filter(({ id }) => now.has(id)).map(({ id }, place) => [id, place]));
  const staying = longestRising(after.flatMap(({ id }) => places.get(id) ?? []));
  const changes: ListChange<Entry>[] = before.filter(({ id }) => !now.has(id)).map(({ id }) => ({ do: 'remove', id }));
  after.forEach((entry, index) => {
    const previous = after[index - 1]?.id ?? null;
    const place = places.get(entry.id);
    if (place === undefined) changes.push({ do: 'add', entry, after: previous });
    else if (!staying.has(place)) changes.push({ do: 'move', id: entry.id, after: previous });
  });
  return changes;
}

/** The list with a change. What is not there is not removed or moved; where its neighbour is gone an entry goes to the end. */
export function applyListChange<Entry extends Listed>(
  list: readonly Entry[],
  change: ListChange<Entry>,
): readonly Entry[] {
  if (change.do === 'remove') return list.filter(({ id }) => id !== change.id);
  const entry = change.do === 'add' ? change.entry : list.find(({ id }) => id === change.id);
  if (!entry) return list;
  if (change.do === 'add' && list.some(({ id }) => id === entry.id)) return list;
  const others = list.filter(({ id }) => id !== entry.id);
  const before = change.after === null ? 0 : others.findIndex(({ id }) => id === change.after) + 1;
  const isLost = change.after !== null && before === 0;
  return others.toSpliced(isLost ? others.length : before, 0, entry);
}

/** The members of a longest rising run of numbers, in any places. */
function longestRising(numbers: readonly number[]): ReadonlySet<number> {
  const tails: number[] = [];
  const before = new Map<number, number | undefined>();
  for (const number of numbers) {
    let low = 0;
    let high = tails.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (tails[middle]! < number) low = middle + 1;
      else high = middle;
    }
    before.set(number, tails[low - 1]);
    tails[low] = number;
  }
  const run = new Set<number>();
  for (let number = tails.at(-1); number !== undefined; number = before.get(number)) run.add(number);
  return run;
}
