import MiniSearch from 'minisearch';
import { searchOptions } from '../../core/search/index.ts';
import { agesInYears } from '../../core/session/index.ts';
import { skillWords } from '../../messages/skills.ts';
import { type ActivityFilter, likelyMinutes, matchesFilter } from '../../core/shelf/index.ts';
import { readShelf, readThings, type ActivityEntry, type Shelf, type ShelfKind } from '../db/repositories/shelf.ts';
import type { Person } from './person.ts';

/** What a row of the shelf shows of a book, song, activity or thing. */
export interface ShelfRow {
  readonly key: string;
  readonly title: string;
  readonly about: string;
  readonly skills: string;
  readonly facts: string;
  /** Its lines, verses or text: searched, not shown. */
  readonly text: string;
}

export interface ShelfSearch {
  readonly words?: string | undefined;
  /** For activities. */
  readonly filter?: ActivityFilter | undefined;
  readonly isRetired?: boolean | undefined;
}

/** The rows of one kind, best match first when words are given. One query. */
export async function readShelfRows(
  person: Person,
  kind: ShelfKind,
  { words = '', filter = {}, isRetired = false }: ShelfSearch = {},
): Promise<{ rows: ShelfRow[]; total: number; themes: string[] }> {
  const whole = await readShelf(person.programmeId, [kind], { isRetired });
  const total = rowsOf(whole, kind).length;
  const themes = [...new Set(whole.activities.flatMap((activity) => activity.themes))].sort();
  const rows = rowsOf({ ...whole, activities: whole.activities.filter((entry) => isWanted(entry, filter)) }, kind);
  if (words.trim() === '') return { rows, total, themes };
  const index = new MiniSearch<ShelfRow>({
    ...searchOptions(['title', 'about', 'skills', 'facts', 'text'], { title: 4, about: 2 }),
    idField: 'key',
  });
  index.addAll(rows);
  const byKey = new Map(rows.map((row) => [row.key, row]));
  return { rows: index.search(words.slice(0, 200)).map(({ id }) => byKey.get(id as string)!), total, themes };
}

function isWanted(activity: ActivityEntry, filter: ActivityFilter): boolean {
  return matchesFilter({ ...activity, likelyMinutes: likelyMinutes(activity).together }, filter);
}

function rowsOf(shelf: Shelf, kind: ShelfKind): ShelfRow[] {
  const list = (keys: readonly string[]) => keys.map(skillWords).join(', ');
  const years = (ages: { fromMonths: number; toMonths: number }) => {
    const { fromYears, toYears } = agesInYears(ages);
    return `${fromYears} to ${toYears} years`;
  };
  switch (kind) {
    case 'activity':
      return shelf.activities.map(({ key, title, idea, skills, themes, ages, where, size, ...rest }) => ({
        text: [rest.aim, ...rest.lines.map((line) => line.text)].join(' '),
        key,
        title,
        about: idea,
        skills: list(skills),
        facts: [
          years(ages),
          `${Math.round(likelyMinutes(rest).together)} min`,
          where,
          list(themes),
          size === 'group' && 'for a group',
        ]
          .filter(Boolean)
          .join(' · '),
      }));
    case 'book':
      return shelf.books.map(({ key, title, maker, summary, skills, words, features, themes, text = [], pauses }) => ({
        text: [...text, ...pauses.map(({ question }) => question)].join(' '),
        key,
        title,
        about: `${summary} ${maker}.`,
        skills: list(skills),
        facts: `${words} words · ${list(features)} · ${list(themes)}`,
      }));
    case 'song':
      return shelf.songs.map(({ key, title, tune, actions, skills, themes, verses }) => ({
        text: verses.flat().join(' '),
        key,
        title,
        about: `To the tune of “${tune}”. ${actions}`,
        skills: list(skills),
        facts: list(themes),
      }));
    case 'thing':
      return shelf.things.map(({ key, one, many, traits, sizeMm, usualQty, common, allergens, checked }) => ({
        text: '',
        key,
        title: many,
        about: one,
        skills: list(traits),
        facts: [
          sizeMm && `${sizeMm} mm`,
          `about ${usualQty} in ${Math.round(common * 10)} of 10 homes`,
          allergens.length > 0 && `may hold ${allergens.join(', ')}`,
          !checked && 'not checked yet',
        ]
          .filter(Boolean)
          .join(' · '),
      }));
  }
}

/** Things of the shelf by name, for fields that complete them. One query. */
export async function readPickableThings(person: Person): Promise<{ key: string; name: string }[]> {
  const { things } = await readShelf(person.programmeId, ['thing']);
  return things.map(({ key, many }) => ({ key, name: many }));
}

/** Everything known of things as a list of what homes have names them. One query. */
export async function readCountableThings(
  person: Person,
): Promise<{ key: string; one: string; many: string; usualQty: number }[]> {
  const things = Object.values(await readThings(person.programmeId));
  return things.map(({ key, one, many, usualQty = 1 }) => ({ key, one, many, usualQty: Math.max(1, usualQty) }));
}

/** Things and activities of the shelf by name. One query. */
export async function readPickables(person: Person): Promise<{ things: Pickable[]; activities: Pickable[] }> {
  const { things, activities } = await readShelf(person.programmeId, ['thing', 'activity']);
  return {
    things: things.map(({ key, many }) => ({ key, name: many })),
    activities: activities.map(({ key, title }) => ({ key, name: title })),
  };
}

/** Something that is picked by its name. */
interface Pickable {
  readonly key: string;
  readonly name: string;
}
