import type { FamilyReading, TableFamily } from './tableFamily.ts';

/** A row as it was understood: the home it names, if any, and what it says of it. */
export interface RowRead {
  readonly home: string;
  readonly family: Omit<TableFamily, 'nickname'>;
}

interface Merged {
  home: string;
  family: Omit<TableFamily, 'nickname'>;
  rows: number[];
  isReady: boolean;
}

/** Rows as homes, each under a name that no other of them has: its own, or one made of its children's. No rows: none. */
export function asHomes(
  read: readonly (RowRead & { readonly row: number; readonly isReady: boolean })[],
  nameFor: (children: readonly string[]) => string,
): FamilyReading['families'] {
  return named(merge(read), nameFor);
}

/** Rows of one home are one: by its name, or, where no home is named, by the address they share. */
function merge(read: readonly (RowRead & { row: number; isReady: boolean })[]): Merged[] {
  const merged: Merged[] = [];
  const byName = new Map<string, Merged>();
  for (const { home, family, row, isReady } of read) {
    const name =
      home !== '' ? `home ${home.toLowerCase()}` : family.contact ? `mail ${family.contact.toLowerCase()}` : '';
    const known = name === '' ? undefined : byName.get(name);
    if (!known) {
      const fresh = { home, family, rows: [row], isReady };
      merged.push(fresh);
      if (name !== '') byName.set(name, fresh);
      continue;
    }
    known.rows.push(row);
    known.isReady = known.isReady && isReady;
    known.family = together(known.family, family);
  }
  return merged;
}

/** Two rows of one home: children of both, what either must not have, and of the rest what the first that says it says. */
function together(
  one: Omit<TableFamily, 'nickname'>,
  other: Omit<TableFamily, 'nickname'>,
): Omit<TableFamily, 'nickname'> {
  const both = (name: 'allergens' | 'alsoAvoids' | 'hasNot') =>
    one[name] || other[name] ? { [name]: [...new Set([...(one[name] ?? []), ...(other[name] ?? [])])] } : {};
  const things = [...(one.things ?? []), ...(other.things ?? [])];
  const children = [...one.children];
  for (const child of other.children)
    if (!children.some(({ nickname }) => nickname === child.nickname)) children.push(child);
  return {
    ...other,
    ...one,
    children,
    contact: one.contact || other.contact,
    language: one.language === undefined || one.language === 'en' ? (other.language ?? one.language) : one.language,
    ...both('allergens'),
    ...both('alsoAvoids'),
    ...both('hasNot'),
    ...((one.things ?? other.things) && { things: [...new Map(things.map((thing) => [thing.item, thing])).values()] }),
  };
}

function named(merged: readonly Merged[], nameFor: (children: readonly string[]) => string): FamilyReading['families'] {
  const taken = new Set(merged.map(({ home }) => home.toLowerCase()).filter(Boolean));
  return merged.map(({ home, family, rows, isReady }) => {
    const made = home || freeName(nameFor(family.children.map(({ nickname }) => nickname)).slice(0, 76), taken);
    taken.add(made.toLowerCase());
    return { family: { nickname: made, ...family }, rows, isReady };
  });
}

function freeName(name: string, taken: ReadonlySet<string>): string {
  for (let number = 1, tried = name; ; number += 1, tried = `${name} ${number}`)
    if (!taken.has(tried.toLowerCase())) return tried;
}
