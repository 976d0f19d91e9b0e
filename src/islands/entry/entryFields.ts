import { LINE_KINDS } from '../../core/session/line.ts';
import { CAUTION_RULES, PLAIN_TRAITS } from '../../core/cautions/rules.ts';
import { POSTURES } from '../../core/session/session.ts';
import { SEASONS } from '../../core/shelf/filterActivities.ts';
import { ALL_SKILLS } from '../../core/ladders/skills.ts';
import type { EntryKind } from '../../contracts/shelfEntries.ts';
import { ALLERGENS } from '../../contracts/cautions.ts';
import { BOOK_FEATURES, BOOK_PACES } from '../../contracts/shelfFile.ts';

/** How one field of an entry is written. Lists of rows have columns, which are fields themselves. */
export interface EntryField {
  readonly name: string;
  readonly label: string;
  readonly as:
    | 'text'
    | 'long'
    | 'number'
    | 'quantity'
    | 'triple'
    | 'yes-no'
    | 'choice'
    | 'choices'
    | 'keys'
    | 'phrases'
    | 'lines'
    | 'verses'
    | 'settings'
    | 'thing'
    | 'activities'
    | 'rows';
  readonly choices?: readonly string[] | undefined;
  readonly columns?: readonly EntryField[] | undefined;
  readonly hint?: string | undefined;
  /** Left out of the entry while it is empty. */
  readonly isOptional?: boolean | undefined;
  readonly wide?: boolean | undefined;
  /** Must be filled in. */
  readonly isMust?: boolean | undefined;
}

const SKILLS: EntryField = { name: 'skills', label: 'Good for', as: 'choices', choices: ALL_SKILLS, wide: true };
const THEMES: EntryField = { name: 'themes', label: 'Themes', as: 'keys', hint: 'with commas between' };

const THING: readonly EntryField[] = [
  { name: 'one', label: 'One of it', as: 'text', isMust: true },
  { name: 'many', label: 'Many of it', as: 'text', isMust: true },
  { name: 'sizeMm', label: 'Largest side, mm', as: 'number', isOptional: true },
  { name: 'thickMm', label: 'Thickness, mm', as: 'number', isOptional: true },
  { name: 'places', label: 'Hollows or places', as: 'number', isOptional: true },
  { name: 'usualQty', label: 'A home usually has', as: 'number', isMust: true },
  { name: 'common', label: 'Part of homes that have any, 0 to 1', as: 'number', isMust: true },
  { name: 'colours', label: 'Colours', as: 'keys', isOptional: true, hint: 'with commas between' },
  { name: 'uses', label: 'What else one does with it', as: 'phrases', isOptional: true, hint: 'with bars between' },
  { name: 'traits', label: 'What it is like', as: 'choices', choices: PLAIN_TRAITS, wide: true },
  { name: 'traits', label: 'Cautions it bears', as: 'choices', choices: Object.keys(CAUTION_RULES), wide: true },
  { name: 'allergens', label: 'It may hold', as: 'choices', choices: ALLERGENS, wide: true },
];

const BOOK: readonly EntryField[] = [
  { name: 'title', label: 'Title', as: 'text', isMust: true },
  { name: 'maker', label: 'Maker', as: 'text', isMust: true },
  { name: 'words', label: 'Words', as: 'number', isMust: true },
  { name: 'pages', label: 'Pages', as: 'number', isMust: true },
  { name: 'pace', label: 'Pace', as: 'choice', choices: BOOK_PACES, isOptional: true },
  { name: 'borrowed', label: 'Borrowed from the library', as: 'yes-no' },
  THEMES,
  { name: 'summary', label: 'What happens in it', as: 'long', isMust: true, wide: true },
  { name: 'retold', label: 'How to tell it when the book is not at hand', as: 'long', wide: true, isOptional: true },
  { name: 'features', label: 'Features', as: 'choices', choices: BOOK_FEATURES, wide: true },
  SKILLS,
  {
    name: 'pauses',
    label: 'Where to pause',
    as: 'rows',
    wide: true,
    columns: [
      { name: 'page', label: 'after page', as: 'number', isMust: true },
      { name: 'question', label: 'question', as: 'text', isMust: true },
      { name: 'why', label: 'why one asks it', as: 'text', isMust: true },
    ],
  },
  { name: 'text', label: 'The text, a page to a line, where it is ours', as: 'lines', isOptional: true, wide: true },
];

const SONG: readonly EntryField[] = [
  { name: 'title', label: 'Title', as: 'text', isMust: true },
  { name: 'tune', label: 'Tune', as: 'text', isMust: true },
  { name: 'minutes', label: 'Minutes: least | likely | most', as: 'triple' },
  THEMES,
  { name: 'verses', label: 'Verses, a blank line between', as: 'verses', wide: true },
  { name: 'melody', label: 'The tune line by line, such as C4:1 D4:0.5', as: 'lines', isOptional: true, wide: true },
  { name: 'actions', label: 'What the hands do', as: 'long', wide: true },
  SKILLS,
];

const LINE_COLUMNS: readonly EntryField[] = [
  { name: 'kind', label: 'kind', as: 'choice', choices: LINE_KINDS },
  { name: 'text', label: 'words', as: 'long' },
  { name: 'answer', label: 'answer', as: 'text', isOptional: true },
  { name: 'why', label: 'why', as: 'text', isOptional: true },
];

const ACTIVITY: readonly EntryField[] = [
  { name: 'title', label: 'Title', as: 'text', isMust: true },
  THEMES,
  { name: 'idea', label: 'The idea in a sentence or two', as: 'long', isMust: true, wide: true },
  { name: 'aim', label: 'Aim: what a home would notice if it works', as: 'long', wide: true },
  SKILLS,
  { name: 'ages.fromMonths', label: 'From, months', as: 'number', isMust: true },
  { name: 'ages.toMonths', label: 'To, months', as: 'number', isMust: true },
  { name: 'size', label: 'For', as: 'choice', choices: ['home', 'group'] },
  { name: 'posture', label: 'The child is', as: 'choice', choices: POSTURES },
  { name: 'mess', label: 'Mess, 0 to 3', as: 'number', isMust: true },
  { name: 'noise', label: 'Noise, 0 to 3', as: 'number', isMust: true },
  { name: 'effort', label: 'Work for the adult, 1 to 3', as: 'number', isOptional: true, hint: 'empty: worked out' },
  { name: 'where', label: 'Where', as: 'text' },
  { name: 'surface', label: 'Surface', as: 'text' },
  { name: 'seating', label: 'Sitting', as: 'text' },
  {
    name: 'dials',
    label: 'Dials: a number with a range, or choices with bars between',
    as: 'rows',
    wide: true,
    columns: [
      { name: 'name', label: 'name in lines', as: 'text', isMust: true },
      { name: 'label', label: 'what it is', as: 'text', isMust: true },
      { name: 'min', label: 'least', as: 'number', isOptional: true },
      { name: 'max', label: 'most', as: 'number', isOptional: true },
      { name: 'choices', label: 'or choices', as: 'phrases', isOptional: true },
      { name: 'value', label: 'starts at', as: 'quantity', isMust: true },
    ],
  },
  {
    name: 'lines',
    label: 'Lines: {dial}, {=a+b}, {n:one|many}, {@need}, {loves|a digger}',
    as: 'rows',
    wide: true,
    columns: LINE_COLUMNS,
  },
  {
    name: 'needs',
    label: 'Needs',
    as: 'rows',
    wide: true,
    columns: [
      { name: 'id', label: 'name in lines', as: 'text', isMust: true },
      { name: 'item', label: 'thing', as: 'thing', isMust: true },
      { name: 'qty', label: 'how many', as: 'quantity', isMust: true },
      { name: 'per', label: 'per', as: 'choice', choices: ['home', 'child'] },
      { name: 'use', label: 'use', as: 'choice', choices: ['lasting', 'used-up'] },
      {
        name: 'swaps',
        label: 'what else will do',
        as: 'rows',
        columns: [
          { name: 'item', label: 'thing', as: 'thing', isMust: true },
          { name: 'fit', label: 'fit, 0 to 1', as: 'number', isMust: true },
          { name: 'why', label: 'why', as: 'text' },
          { name: 'qty', label: 'how many of it, if not as many (need, places)', as: 'quantity', isOptional: true },
          { name: 'sets', label: 'sets dials', as: 'settings', isOptional: true },
        ],
      },
      { name: 'optional', label: 'can be done without', as: 'yes-no', isOptional: true },
      { name: 'eaten', label: 'is eaten', as: 'yes-no', isOptional: true },
    ],
  },
  { name: 'minutes.setup', label: 'Setting up: least | likely | most', as: 'triple' },
  { name: 'minutes.together', label: 'Together', as: 'triple' },
  { name: 'minutes.alone', label: 'Then alone', as: 'triple' },
  { name: 'minutes.tidy', label: 'Tidying', as: 'triple' },
  { name: 'levels.easier.text', label: 'Easier: a note to the adult', as: 'long', isOptional: true },
  { name: 'levels.easier.dials', label: 'Easier sets dials', as: 'settings', hint: 'such as n = 3 | colour = red' },
  { name: 'levels.easier.qty', label: 'Easier needs other amounts', as: 'settings', isOptional: true },
  {
    name: 'levels.easier.lines',
    label: 'Easier, in lines of its own',
    as: 'rows',
    columns: LINE_COLUMNS,
    isOptional: true,
  },
  { name: 'levels.harder.text', label: 'Harder: a note to the adult', as: 'long', isOptional: true },
  { name: 'levels.harder.dials', label: 'Harder sets dials', as: 'settings' },
  { name: 'levels.harder.qty', label: 'Harder needs other amounts', as: 'settings', isOptional: true },
  {
    name: 'levels.harder.lines',
    label: 'Harder, in lines of its own',
    as: 'rows',
    columns: LINE_COLUMNS,
    isOptional: true,
  },
  {
    name: 'ahead',
    label: 'Before the day: one lead in each row',
    as: 'rows',
    wide: true,
    columns: [
      { name: 'who', label: 'who', as: 'choice', choices: ['home', 'author'] },
      { name: 'days', label: 'days', as: 'number', isOptional: true },
      { name: 'workingDays', label: 'or open days', as: 'number', isOptional: true },
      { name: 'hours', label: 'or hours', as: 'number', isOptional: true },
      { name: 'text', label: 'what', as: 'text', isMust: true },
      { name: 'for.need', label: 'only if this need', as: 'text', isOptional: true },
      { name: 'for.item', label: 'is served with', as: 'thing', isOptional: true },
    ],
  },
  { name: 'keeps', label: 'Kept for later', as: 'text', isOptional: true },
  {
    name: 'after',
    label: 'Needs these first',
    as: 'activities',
    isOptional: true,
    hint: 'titles of activities, one to a line',
  },
  { name: 'access', label: 'Another way, for hands, eyes, ears or legs', as: 'long', wide: true },
  { name: 'actions', label: 'Cautions it calls for', as: 'choices', choices: Object.keys(CAUTION_RULES), wide: true },
  { name: 'seasons', label: 'Only in', as: 'choices', choices: SEASONS, isOptional: true, wide: true },
];

export const ENTRY_FIELDS: Readonly<Record<EntryKind, readonly EntryField[]>> = {
  thing: THING,
  book: BOOK,
  song: SONG,
  activity: ACTIVITY,
};

const NO_MINUTES = [0, 0, 0];

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
      return {
        key: '',
        title: '',
        themes: [],
        ages: { fromMonths: 36, toMonths: 71 },
        mess: 0,
        noise: 0,
        idea: '',
        aim: '',
        skills: [],
        dials: [],
        lines: [{ id: 'line-1', kind: 'do', text: '' }],
        needs: [],
        minutes: { setup: NO_MINUTES, together: [3, 5, 10], alone: NO_MINUTES, tidy: NO_MINUTES },
        posture: 'seated',
        where: '',
        surface: '',
        seating: '',
        size: 'home',
        levels: {},
        ahead: [],
        actions: [],
        access: '',
      };
  }
}
