import { type Accent, isVowel, type Pronunciations, SOUND_UNIT, SOUND_UNITS } from '../sounds/index.ts';
import { PICTURE_WORDS } from './pictureWords.ts';
import { firstSoundName, soundName } from './recordableSounds.ts';
import { segmentWord } from './segmentWord.ts';

/** Where in a word letters stand. */
type Place = 'start' | 'middle' | 'end';

/** What there is to say of letters and the sound they have first. */
interface SoundFacts {
  /** The name of the sound, by which its mouth line is found; letters that stand for one sound share it. */
  readonly sound: string;
  readonly isVoiced: boolean;
  readonly isVowel: boolean;
  /** Words with a picture that have these letters with this sound where they are heard best; the word of its page first. */
  readonly words: readonly string[];
  /** A word to hear it in, and where; absent where no word with a picture has it. */
  readonly model?: { readonly word: string; readonly place: Place; readonly notOf?: string | undefined } | undefined;
}

/** A short vowel is heard at the start of a word, and must not be taken for the other one that the letter has. */
const VOWELS: Readonly<Record<string, { word: string; place: Place; notOf: string }>> = {
  a: { word: 'avocado', place: 'start', notOf: 'apron' },
  e: { word: 'envelope', place: 'start', notOf: 'eagle' },
  i: { word: 'invitation', place: 'start', notOf: 'island' },
  o: { word: 'olive', place: 'start', notOf: 'ocean' },
  u: { word: 'underpants', place: 'start', notOf: 'unicorn' },
};

/** Words that are told of a sound, at most. */
const MOST_WORDS = 24;

/** Letters with the sound they have first, in an accent; null for what stands for no sound of English. */
export function soundFacts(
  grapheme: string,
  { known, accent }: { known: Pronunciations; accent: Accent },
): SoundFacts | null {
  const sound = firstSoundName(grapheme);
  if (sound === undefined || sound === '') return null;
  const unit = SOUND_UNIT.get(grapheme);
  const alike = unit ?? SOUND_UNITS.find((other) => firstSoundName(other.grapheme) === sound);
  const [first] = sound.toUpperCase().split('-');
  const found = PICTURE_WORDS.flatMap(({ word }) => {
    const place = placeIn(word, grapheme, { known, accent, sound });
    return place ? [{ word, place }] : [];
  });
  const wanted = unit?.place ?? 'start';
  const best = found.filter(({ place }) => place === wanted);
  const placed = best.length > 0 ? best : found.filter(({ place }) => place === 'middle' || place === 'end');
  const words = placed.map(({ word }) => word);
  const vowel = Object.hasOwn(VOWELS, grapheme) ? VOWELS[grapheme] : undefined;
  const own = vowel ?? (unit ? { word: unit.word, place: unit.place } : placed[0]);
  return {
    sound,
    isVoiced: alike ? alike.voice === 'on' : isVowel(first!),
    isVowel: isVowel(first!),
    words: [...new Set([...(unit && words.includes(unit.word) ? [unit.word] : []), ...words])].slice(0, MOST_WORDS),
    model: own,
  };
}

/** In a British voice the r of ar, or and air is not heard. */
const asHeard = (sound: string, accent: Accent) => (accent === 'gb' ? sound.replace(/-r$/, '') : sound);

/** Where a word has the letters with their sound; null where it has them not, or otherwise, or in several places. */
function placeIn(
  word: string,
  grapheme: string,
  { known, accent, sound }: { known: Pronunciations; accent: Accent; sound: string },
): Place | null {
  if (!word.includes(grapheme)) return null;
  const { graphemes, sounds, source, tricky } = segmentWord(word, { known, accent, taught: new Set() });
  if (source === 'rules' || tricky === grapheme) return null;
  const says = (index: number, length: number) =>
    graphemes.slice(index, index + length).join('') === grapheme &&
    asHeard(soundName(sounds.slice(index, index + length).join(' ')), accent) === asHeard(sound, accent);
  const places = graphemes.flatMap((_, index) => {
    const length = [1, 2].find((pieces) => says(index, pieces));
    return length === undefined ? [] : [{ index, length }];
  });
  if (places.length !== 1) return null;
  const [{ index, length }] = places as [{ index: number; length: number }];
  if (index === 0) return 'start';
  return index + length === graphemes.length ? 'end' : 'middle';
}
