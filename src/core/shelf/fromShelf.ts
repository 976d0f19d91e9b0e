import { dialValues } from '../session/dial.ts';
import type { Line } from '../session/line.ts';
import { escapeBraces } from '../expressions/template.ts';
import type { ShelfActivity, ShelfBook, ShelfSong } from './shelfEntries.ts';
import { plainSegment } from '../session/plainSegment.ts';
import { readAloudMinutes, type ReadingPace } from '../time/readAloud.ts';
import type { Segment } from '../session/session.ts';

/** Sentences that frame a book or song, in the language of the programme. */
export interface FramingWords {
  readonly fetchBook: (title: string) => string;
  readonly readIt: (title: string) => string;
  readonly afterPage: (page: number) => string;
  readonly singTo: (tune: string) => string;
}

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
export function segmentFromBook(book: ShelfBook, id: string, pace: ReadingPace, words: FramingWords): Segment {
  const { words: wordCount, pages, pauses } = book;
  const lines: Line[] = [
    { id: `${id}-do`, kind: 'do', text: escapeBraces(words.fetchBook(book.title)) },
    { id: `${id}-read`, kind: 'read', text: escapeBraces(words.readIt(book.title)) },
    ...pauses.map(({ page, question, why }, index) => ({
      id: `${id}-ask-${index + 1}`,
      kind: 'ask' as const,
      text: escapeBraces(`${words.afterPage(page)} ${question}`),
      why,
    })),
  ];
  const together = readAloudMinutes({ words: wordCount, pages, pauses: pauses.length, ...pace });
  return {
    ...plainSegment(id, 'book', book.title, together),
    from: book.key,
    skills: book.skills,
    retold: book.retold,
    lines,
  };
}

/** Singing a song: its verses a line each, with what the hands do. */
export function segmentFromSong(song: ShelfSong, id: string, words: FramingWords): Segment {
  const lines: Line[] = [
    { id: `${id}-do`, kind: 'do', text: escapeBraces(`${words.singTo(song.tune)} ${song.actions}`) },
    ...song.verses.map((verse, index) => ({
      id: `${id}-verse-${index + 1}`,
      kind: 'sing' as const,
      text: escapeBraces(verse.join(' / ')),
    })),
  ];
  const sung = plainSegment(id, 'song', song.title, song.minutes);
  return { ...sung, from: song.key, skills: song.skills, lines, posture: 'moving' };
}

/** What of a shelf's activity goes into a session. */
function bodyOf(activity: ShelfActivity): Omit<Segment, 'id' | 'kind' | 'title' | 'from' | 'level' | 'rightDials'> {
  const { aim, skills, dials, lines, needs, minutes, posture, where, surface, seating, size } = activity;
  const { levels, ahead, actions, access, made } = activity;
  return {
    ...{ aim, skills, dials, lines, needs, minutes, posture, where, surface, seating, size },
    ...{ levels, ahead, actions, access },
    ...(made && { made }),
  };
}
