import { readAloudMinutes } from '../time/readAloud.ts';
import { dialValues, type ActivityBody, type Line, type Segment, type Triple } from './session.ts';

export interface ShelfActivity extends ActivityBody {
  readonly key: string;
  readonly title: string;
  /** A maker that writes it. */
  readonly made?: Segment['made'];
}

export interface BookPause {
  readonly page: number;
  readonly question: string;
  readonly why: string;
}

export interface ShelfBook {
  readonly key: string;
  readonly title: string;
  readonly words: number;
  readonly pages: number;
  readonly pauses: readonly BookPause[];
  /** How to tell it when the book is not at hand. */
  readonly retold?: string | undefined;
  readonly skills: readonly string[];
}

export interface ShelfSong {
  readonly key: string;
  readonly title: string;
  readonly tune: string;
  readonly verses: readonly (readonly string[])[];
  readonly actions: string;
  readonly skills: readonly string[];
  readonly minutes: Triple;
}

/** How a programme reads aloud: the paces of its readers, page turns and pauses, as least, likely and most time. */
export interface ReadingPace {
  readonly wordsPerMinute: Triple;
  readonly pageSeconds: Triple;
  readonly pauseSeconds: Triple;
}

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

/** A segment with nothing in it but a title and minutes. */
export function plainSegment(id: string, kind: Segment['kind'], title: string, together: Triple): Segment {
  return {
    id,
    kind,
    title,
    level: 'right',
    rightDials: {},
    aim: '',
    skills: [],
    dials: [],
    lines: [],
    needs: [],
    minutes: { setup: [0, 0, 0], together, alone: [0, 0, 0], tidy: [0, 0, 0] },
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

function escapeBraces(text: string): string {
  return text.replaceAll('{', '{{');
}
