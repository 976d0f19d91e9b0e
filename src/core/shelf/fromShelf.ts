import { dialValues, type Line, plainSegment, type Segment } from '../session/index.ts';
import type { Speech } from '../message.ts';
import { saidLine } from './saidLine.ts';
import { escapeBraces } from '../expressions/index.ts';
import type { ShelfActivity, ShelfBook, ShelfSong } from './shelfEntries.ts';
import { readAloudMinutes, type ReadingPace } from '../time/index.ts';

/** A session's own copy of an activity, under an id that is unique in the session. */
export function segmentFromActivity(activity: ShelfActivity, id: string): Segment {
  const { key, title } = activity;
  return {
    ...bodyOf(activity),
    id,
    kind: 'activity',
    title,
    from: key,
    level: 'right',
    rightDials: dialValues(activity.dials),
  };
}

/** Reading a book aloud: its lines, its questions at the pages to pause at, its minutes. */
export function segmentFromBook(
  book: ShelfBook,
  id: string,
  { pace, speech }: { pace: ReadingPace; speech: Speech },
): Segment {
  const { words, pages, pauses, numbers = [] } = book;
  const title = { own: book.title };
  const lines: Line[] = [
    saidLine(`${id}-do`, 'do', { key: 'framing/fetch-book', values: { title } }, speech),
    saidLine(`${id}-read`, 'read', { key: 'framing/read-it', values: { title } }, speech),
    ...[...pauseLines(pauses, id, speech), ...countLines(numbers, id, speech)]
      .sort((one, other) => one.page - other.page)
      .map(({ line }) => line),
  ];
  const together = readAloudMinutes({ words, pages, pauses: pauses.length + numbers.length, ...pace });
  return {
    ...plainSegment(id, 'book', book.title, together),
    from: book.key,
    skills: book.skills,
    // What happens in it tells it where nobody wrote down how.
    retold: book.retold || book.summary,
    lines,
  };
}

function pauseLines(pauses: ShelfBook['pauses'], id: string, speech: Speech): { page: number; line: Line }[] {
  return pauses.map(({ page, question, why }, index) => {
    const says = { key: 'framing/after-page', values: { page, question: { own: question } } };
    return { page, line: { ...saidLine(`${id}-ask-${index + 1}`, 'ask', says, speech), why } };
  });
}

function countLines(numbers: NonNullable<ShelfBook['numbers']>, id: string, speech: Speech) {
  return numbers.map(({ page, number }, index) => {
    const says = { key: 'framing/count-on-page', values: { page, number } };
    return { page, line: saidLine(`${id}-count-${index + 1}`, 'do', says, speech) };
  });
}

/** Singing a song: its verses a line each, with what the hands do. */
export function segmentFromSong(song: ShelfSong, id: string, speech: Speech): Segment {
  const values = { tune: { own: song.tune }, actions: { own: song.actions } };
  const lines: Line[] = [
    saidLine(`${id}-do`, 'do', { key: 'framing/sing-to', values }, speech),
    ...song.verses.map((verse, index) => ({
      id: `${id}-verse-${index + 1}`,
      kind: 'sing' as const,
      text: escapeBraces(verse.join(' / ')),
    })),
  ];
  const sung = plainSegment(id, 'song', song.title, song.minutes);
  return { ...sung, from: song.key, skills: song.skills, lines, posture: 'moving' };
}

/** By these an activity is found and planned on the shelf; they stay there. */
type OfShelfOnly = Partial<
  Record<'themes' | 'idea' | 'ages' | 'mess' | 'noise' | 'effort' | 'keeps' | 'after' | 'seasons' | 'retired', unknown>
>;

/** What of a shelf's activity goes into a session: all but what belongs to the shelf, so that no field is forgotten. */
function bodyOf(activity: ShelfActivity & OfShelfOnly): Omit<ShelfActivity, 'key' | 'title'> {
  const { key: _key, title: _title, themes: _themes, idea: _idea, ages: _ages, mess: _mess, ...rest } = activity;
  const { noise: _noise, effort: _effort, keeps: _keeps, after: _after, seasons: _seasons, retired: _, ...body } = rest;
  return body;
}
