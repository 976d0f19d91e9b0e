import type { CellNote } from '../core/families/index.ts';
import { sayScreen } from './screenWords.ts';

/** What is said of a cell of a table of families. */
export function describeCellNote(note: CellNote): string {
  switch (note.code) {
    case 'counts-differ':
      return sayScreen('cell.counts-differ', { children: note.children, births: note.births });
    case 'thing-unknown':
      return sayScreen('cell.thing-unknown', { name: note.name });
    case 'youngest':
      return sayScreen('cell.youngest', { month: monthInWords(note.month) });
    case 'day-first':
      return sayScreen('cell.day-first', { month: monthInWords(note.month) });
    default:
      return sayScreen(`cell.${note.code}`);
  }
}

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });

const monthInWords = (month: string) => MONTH.format(new Date(`${month}-15T12:00:00Z`));
