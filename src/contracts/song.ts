import { findTune, MOST_SONG_LINES, type Tune, TUNES } from '../core/songs/index.ts';

/** Words set to a tune, as an address says them. */
export interface SongQuestion {
  readonly tune: Tune;
  readonly words: string;
  /** Syllables of names as somebody told them. */
  readonly names: Readonly<Record<string, number>>;
}

/** Characters of a whole song, at most. */
export const LONGEST_SONG = 3000;
const MOST_SYLLABLES = 8;
const MOST_NAMES = 30;

/** Reads a song from an address; what is missing or odd is as if it were not there: the first tune with its own verse. */
export function readSongQuestion(asked: URLSearchParams): SongQuestion {
  const tune = findTune(asked.get('tune') ?? '') ?? TUNES[0]!;
  const words = asked.get('words');
  const names = (asked.get('names') ?? '').split(',').flatMap((written): [string, number][] => {
    const match = /^([\p{L}\p{M}'’-]{1,40}):([1-9])$/u.exec(written.trim());
    return match && Number(match[2]) <= MOST_SYLLABLES ? [[match[1]!.toLowerCase(), Number(match[2])]] : [];
  });
  return {
    tune,
    words:
      words === null
        ? tune.verse.join('\n')
        : words.slice(0, LONGEST_SONG).split('\n').slice(0, MOST_SONG_LINES).join('\n'),
    names: Object.fromEntries(names.slice(0, MOST_NAMES)),
  };
}

/** The part of an address that says a song. */
export function songAddress({
  tune,
  words,
  names,
}: {
  tune: string;
  words: string;
  names: SongQuestion['names'];
}): string {
  const told = Object.entries(names).map(([name, count]) => `${name}:${count}`);
  return new URLSearchParams({ tune, words, ...(told.length > 0 && { names: told.join(',') }) }).toString();
}
