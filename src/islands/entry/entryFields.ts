import { emptyScript } from '../../core/session/index.ts';
import { formFields, type EntryField } from '../../contracts/entryField.ts';
import { ENTRY_SCHEMAS, type EntryKind } from '../../contracts/shelfEntries.ts';

/** The fields of each kind's form, as its schema describes them. */
export const ENTRY_FIELDS: Readonly<Record<EntryKind, readonly EntryField[]>> = {
  thing: formFields(ENTRY_SCHEMAS.thing),
  book: formFields(ENTRY_SCHEMAS.book),
  song: formFields(ENTRY_SCHEMAS.song),
  activity: formFields(ENTRY_SCHEMAS.activity),
};

/** What an entry of a kind starts from. */
export function emptyEntry(kind: EntryKind): Record<string, unknown> {
  switch (kind) {
    case 'thing':
      return { key: '', one: '', many: '', traits: [], allergens: [], usualQty: 1, common: 0.5 };
    case 'book':
      return {
        key: '',
        title: '',
        maker: '',
        summary: '',
        words: 0,
        pages: 1,
        features: [],
        themes: [],
        skills: [],
        pauses: [],
        borrowed: false,
      };
    case 'song':
      return { key: '', title: '', tune: '', verses: [['']], actions: '', skills: [], themes: [], minutes: [1, 2, 3] };
    case 'activity':
      return emptyActivity();
  }
}

function emptyActivity() {
  return {
    ...emptyScript([3, 5, 10]),
    key: '',
    title: '',
    themes: [],
    ages: { fromMonths: 36, toMonths: 71 },
    mess: 0,
    noise: 0,
    idea: '',
    lines: [{ id: 'line-1', kind: 'do', text: '' }],
  };
}
