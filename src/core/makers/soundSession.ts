import type { MakerValues } from '../session/index.ts';
import type { FindMaker, Maker } from './maker.ts';
import { SOUND_SESSION_ROLES, type SoundSessionRole } from './soundSessionRoles.ts';

/** A part of a session on the sound of the week: what makes it, and what it is there for. */
export interface SoundSessionPart {
  readonly role: SoundSessionRole;
  readonly maker: Maker;
  readonly values: MakerValues;
}

const choicesOf = (maker: Maker, name: string) => {
  const dial = maker.dials.find((one) => one.name === name);
  return dial?.kind === 'choice' ? dial.choices : [];
};
/** The k of key and the c of comb are one sound; the pot knows it by c. */
const potSound = (sound: string) => (sound === 'k' || sound === 'ck' ? 'c' : sound);
/** Few pictures start with these. */
const RARE = new Set(['j', 'v']);

/**
 * What a session on a sound holds, in order: a sound from before comes back, the page, a rhyme told twice, what starts with it, a song,
 * a tip for home and one for outside. What a sound has no words for is left out; `before` are the sounds taught earlier, the latest last.
 * Only parts whose `roles` are asked for; none where a sound has none of these.
 */
export function soundSessionParts(
  findMaker: FindMaker,
  sound: string,
  before: readonly string[],
  roles: readonly SoundSessionRole[] = SOUND_SESSION_ROLES,
): SoundSessionPart[] {
  return allParts(findMaker, sound, before).filter(({ role }) => roles.includes(role));
}

function allParts(findMaker: FindMaker, sound: string, before: readonly string[]): SoundSessionPart[] {
  const [soundPot, soundPage, soundStory] = [
    findMaker('sound-pot')!,
    findMaker('sound-page')!,
    findMaker('sound-story')!,
  ];
  const hasPot = (of: string) => choicesOf(soundPot, 'sound').includes(potSound(of));
  const known = [...before].reverse().find((earlier) => earlier !== sound && hasPot(earlier));
  const pot = (of: string, values: MakerValues): MakerValues => ({
    sound: potSound(of),
    inside: RARE.has(of) ? 2 : 3,
    outside: 2,
    ...values,
  });
  return [
    ...(known === undefined
      ? []
      : [{ role: 'again', maker: soundPot, values: pot(known, { variant: 'five-minutes' }) } as const]),
    { role: 'page', maker: soundPage, values: { sound } },
    ...(choicesOf(soundStory, 'sound').includes(sound)
      ? [{ role: 'rhyme', maker: soundStory, values: { sound, told: 'as a rhyme' } } as const]
      : []),
    ...(hasPot(sound) ? [{ role: 'pot', maker: soundPot, values: pot(sound, { shuffle: 2 }) } as const] : []),
    { role: 'song', maker: findMaker('pattern-song')!, values: { verses: 2, variant: 'five-minutes' } },
    { role: 'home', maker: soundPage, values: { sound, variant: 'during-the-day' } },
    sound.length === 1
      ? {
          role: 'world',
          maker: findMaker('letter-hunt')!,
          values: { only: otherLetters(sound, before), variant: 'during-the-day' },
        }
      : {
          role: 'world',
          maker: findMaker('alphabet-chart')!,
          values: { letter: sound[0]!, variant: 'during-the-day' },
        },
  ];
}

/** A hunt takes at least two letters: the new one first, then those met latest. */
function otherLetters(sound: string, before: readonly string[]): string {
  const single = [...before].reverse().filter((letter) => letter.length === 1 && letter !== sound);
  return [sound, ...single.slice(0, 2), ...(single.length === 0 ? [sound === 'a' ? 'e' : 'a'] : [])].join(' ');
}
