import type { Role } from '../contracts/peopleForms.ts';

/** What each part in a programme may do. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'owner: writes, sends, and decides who works here',
  author: 'author: writes and sends',
  reader: 'reader: looks on, changes nothing',
};

/** What became of a letter. */
export const LETTER_STATES = {
  waiting: 'waiting to go out',
  posting: 'on its way',
  sent: 'sent',
  failed: 'not sent',
  unclear: 'we’re not sure it was sent',
} as const;
