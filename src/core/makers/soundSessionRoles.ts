/** What the parts of a session on the sound of the week are there for, in their order. */
export const SOUND_SESSION_ROLES = ['again', 'page', 'rhyme', 'pot', 'song', 'home', 'world'] as const;
/** What one part is there for. */
export type SoundSessionRole = (typeof SOUND_SESSION_ROLES)[number];
