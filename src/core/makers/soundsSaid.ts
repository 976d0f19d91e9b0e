import type { MakerSource } from '../session/index.ts';
import { shown, wordPieces } from '../sounds/index.ts';
import { firstSoundName, soundName } from '../words/index.ts';
import { knownWords, readSpellable } from './wordKnowledge.ts';

/** A sound that an adult says in a part: its name as it is recorded, and the letters that stand for it there. */
export interface SaidSound {
  readonly sound: string;
  readonly letters: string;
}

/** More than these nobody tries before a session. */
const MOST_SOUNDS = 8;
/** Makers about one sound, in their dial of that name. */
const OF_ONE_SOUND = ['sound-page', 'sound-pot', 'sound-story'];
/** Makers in which words are said sound by sound, in their dial of that name. */
const OF_WORDS = ['blend-by-ear', 'sound-boxes', 'word-cards'];

/** The sounds that an adult says by themselves in a part that a maker wrote, each once, at most eight; none for other makers. */
export function soundsSaid({
  maker,
  values,
  settings,
}: Pick<MakerSource, 'maker' | 'values' | 'settings'>): SaidSound[] {
  if (OF_ONE_SOUND.includes(maker)) {
    const letters = String(values.sound);
    const sound = firstSoundName(letters);
    return sound === undefined ? [] : [{ sound, letters }];
  }
  if (!OF_WORDS.includes(maker)) return [];
  const words = readSpellable(String(values.words), { dial: 'words', least: 1, most: 40 });
  if (!words.ok) return [];
  const { known, accent } = knownWords(settings);
  const said = new Map<string, SaidSound>();
  for (const { grapheme, phones } of words.value.flatMap((word) => wordPieces(word, known, accent).pieces)) {
    const sound = soundName(phones.map(shown).join(' '));
    if (sound !== '' && !said.has(sound)) said.set(sound, { sound, letters: grapheme.replace('_', '-') });
  }
  return [...said.values()].slice(0, MOST_SOUNDS);
}
