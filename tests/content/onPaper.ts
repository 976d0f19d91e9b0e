import type { Printable } from '../../src/core/makers/index.ts';
import { PICTURE_WORDS } from '../../src/core/words/index.ts';

/** What a line may name since it is on the paper that goes with it: words, and what small pictures show. */
export function wordsOnPaper({ cards, sheets }: Printable): string[] {
  const shapes = [...cards, ...sheets].flatMap((drawing) => drawing.shapes);
  const pictures = new Set(shapes.flatMap((shape) => (shape.kind === 'picture' ? [shape.name] : [])));
  const shown = PICTURE_WORDS.filter(({ picture }) => pictures.has(picture)).map(({ word }) => word);
  // Only makers of words print what their lines name; numbers and signs on cards are no words.
  return [...shown, ...shapes.flatMap((shape) => (shape.kind === 'text' ? wordsToRead(shape.text) : []))];
}

/** A word alone, or all words of a text that is told. */
const wordsToRead = (text: string) =>
  /^[a-z]+$/.test(text) || text.split(' ').length > 3 ? (text.match(/[a-z]+/g) ?? []) : [];

/** A text with these words left out. */
export const withoutWords = (text: string, words: readonly string[]) =>
  words.length === 0 ? text : text.replace(new RegExp(`\\b(${words.join('|')})\\b`, 'gi'), '…');
