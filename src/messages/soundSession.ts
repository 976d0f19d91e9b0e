import type { SoundSessionRole } from '../core/makers/index.ts';
import { sayScreen } from './screenWords.ts';

const ROLE_WORDS: Readonly<Record<SoundSessionRole, string>> = {
  again: 'Again: a sound you know',
  page: 'The sound of the week',
  rhyme: 'A rhyme, told twice',
  pot: 'What starts with it?',
  song: 'A song to a beat',
  home: 'To do at home',
  world: 'To find outside',
};

/** What a part of a session on a sound is called. */
export function soundPartTitle(role: SoundSessionRole): string {
  return ROLE_WORDS[role];
}

/** What a session on a sound is called. */
export function soundSessionTitle(sound: string): string {
  return sayScreen('sound-session.title', { sound });
}

/** What a home would notice if a session on a sound works. */
export function soundSessionAim(sound: string): string {
  return sayScreen('sound-session.aim', { sound });
}
