import type { MakerValues } from '../session/makerSource.ts';
import type { Maker } from './maker.ts';
import { alphabetChartMaker } from './alphabetChart.ts';
import { letterHuntMaker } from './letterHunt.ts';
import { patternSongMaker } from './patternSong.ts';
import { soundPageMaker } from './soundPage.ts';
import { soundPotMaker } from './soundPot.ts';
import { SOUND_SESSION_ROLES, type SoundSessionRole } from './soundSessionRoles.ts';
import { soundStoryMaker } from './soundStory.ts';

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
const hasPot = (sound: string) => choicesOf(soundPotMaker, 'sound').includes(potSound(sound));

/**
 * What a session on a sound holds, in order: a sound from before comes back, the page, a rhyme told twice, what starts with it, a song,
 * a tip for home and one for outside. What a sound has no words for is left out; `before` are the sounds taught earlier, the latest last.
 * Only parts whose `roles` are asked for; none where a sound has none of these.
 */
export function soundSessionParts(
  sound: string,
  before: readonly string[],
  roles: readonly SoundSessionRole[] = SOUND_SESSION_ROLES,
): SoundSessionPart[] {
  return allParts(sound, before).filter(({ role }) => roles.includes(role));
}

function allParts(sound: string, before: readonly string[]): SoundSessionPart[] {
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
      : [{ role: 'again', maker: soundPotMaker, values: pot(known, { variant: 'five minutes' }) } as const]),
    { role: 'page', maker: soundPageMaker, values: { sound } },
    ...(choicesOf(soundStoryMaker, 'sound').includes(sound)
      ? [{ role: 'rhyme', maker: soundStoryMaker, values: { sound, told: 'as a rhyme' } } as const]
      : []),
    ...(hasPot(sound) ? [{ role: 'pot', maker: soundPotMaker, values: pot(sound, { shuffle: 2 }) } as const] : []),
    { role: 'song', maker: patternSongMaker, values: { verses: 2, variant: 'five minutes' } },
    { role: 'home', maker: soundPageMaker, values: { sound, variant: 'during the day' } },
    sound.length === 1
      ? {
          ...{ role: 'world', maker: letterHuntMaker },
          values: { only: otherLetters(sound, before), variant: 'during the day' },
        }
      : { role: 'world', maker: alphabetChartMaker, values: { letter: sound[0]!, variant: 'during the day' } },
  ];
}

/** A hunt takes at least two letters: the new one first, then those met latest. */
function otherLetters(sound: string, before: readonly string[]): string {
  const single = [...before].reverse().filter((letter) => letter.length === 1 && letter !== sound);
  return [sound, ...single.slice(0, 2), ...(single.length === 0 ? [sound === 'a' ? 'e' : 'a'] : [])].join(' ');
}
