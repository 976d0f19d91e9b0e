/** An entry of a collection or a shelf, by its kind and key. */
export interface CollectedEntry {
  readonly kind: string;
  readonly key: string;
  readonly body: object;
}

/** The same on a programme's shelf. */
export interface ShelvedEntry extends CollectedEntry {
  readonly isRetired: boolean;
}

/** What a collection offers a programme: an entry that it has not got, or a newer one of what it left as it was. */
export interface StarterOffer<Entry extends CollectedEntry> {
  readonly entry: Entry;
  readonly state: 'new' | 'newer';
}

/**
 * What of a collection may be offered to a programme. `taken` are the entries as it once took them; what it changed,
 * corrected or removed since is its own and is never offered. An entry of its own under the same key stays, too.
 * In the collection's order; nothing to offer: none.
 */
export function starterOffers<Entry extends CollectedEntry>(
  collection: readonly Entry[],
  { shelf, taken }: { shelf: readonly ShelvedEntry[]; taken: readonly CollectedEntry[] },
  isSame: (one: object, other: object) => boolean,
): StarterOffer<Entry>[] {
  const onShelf = new Map(shelf.map((entry) => [nameOf(entry), entry]));
  const once = new Map(taken.map((entry) => [nameOf(entry), entry.body]));
  return collection.flatMap((entry): StarterOffer<Entry>[] => {
    const ours = onShelf.get(nameOf(entry));
    if (!ours) return [{ entry, state: 'new' }];
    const before = once.get(nameOf(entry));
    const isUntouched = before !== undefined && !ours.isRetired && isSame(ours.body, before);
    return isUntouched && !isSame(entry.body, before) ? [{ entry, state: 'newer' }] : [];
  });
}

const nameOf = ({ kind, key }: Pick<CollectedEntry, 'kind' | 'key'>) => `${kind}/${key}`;
