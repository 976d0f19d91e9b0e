import type { Accent, Pronunciations } from '../sounds/index.ts';
import type { TaughtOn } from '../words/index.ts';

/** What lies around a session and is no part of it. Whatever is absent is not looked at. */
export interface Surroundings {
  /** When each activity was last used before this session, by its key: days as YYYY-MM-DD. */
  readonly lately?: Readonly<Record<string, string>> | undefined;
  /** The beats of each line of a song's tune, by the song's key: `S` strong, `w` weak. */
  readonly tunes?: Readonly<Record<string, readonly string[]>> | undefined;
  /** Which sounds are taught when. */
  readonly taught?: readonly TaughtOn[] | undefined;
  /** How words are said. */
  readonly known?: Pronunciations | undefined;
  readonly accent?: Accent | undefined;
}
