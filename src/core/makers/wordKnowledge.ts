import { listOf, type MessageList } from '../message.ts';
import { ok, type Outcome } from '../outcome.ts';
import { rememberLast } from '../remembering.ts';
import { type Accent, ACCENTS, EVERYDAY_WORDS, packedPronunciations, type Pronunciations } from '../sounds/index.ts';
import type { MakerSettings } from '../session/index.ts';
import { asSpelled, isRude, readableWord } from '../words/index.ts';
import { refuseList, type Refusal } from './maker.ts';
import { inOwn, readOwnWords } from './ownWords.ts';

const pronunciationsIn = rememberLast(ACCENTS.length, (accent) =>
  packedPronunciations(EVERYDAY_WORDS)(accent as Accent),
);

/** How words are said in a programme, and by whom; southern British where it does not say. */
export function knownWords({ accent = 'gb' }: Pick<MakerSettings, 'accent'>): {
  known: Pronunciations;
  accent: Accent;
} {
  return { known: pronunciationsIn(accent), accent };
}

/** Reads words of letters a to z from a list dial, in small letters: so many at least and at most, each once, none rude. */
export function readSpellable(
  text: string,
  { dial, least, most }: { dial: string; least: number; most: number },
): Outcome<string[], Refusal> {
  const written = readOwnWords(text, { dial, least, most });
  if (!written.ok) return written;
  const words: string[] = [];
  for (const word of written.value) {
    const read = readableWord(word);
    if (!read.ok) return refuseList(dial, 'makers/word-letters', { word: inOwn(word) });
    if (isRude(read.value)) return refuseList(dial, 'makers/word-rude');
    if (words.includes(read.value)) return refuseList(dial, 'makers/word-twice', { word });
    words.push(read.value);
  }
  return ok(words);
}

/** Words of an author's own in a list. */
export const wordsIn = (words: readonly string[]): MessageList => listOf(words.map((word) => inOwn(asSpelled(word))));
