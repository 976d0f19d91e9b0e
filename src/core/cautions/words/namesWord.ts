import { formsOfNoun, plainWord } from './phrases.ts';

const wordsOf = (text: string) => (text.match(/[\p{L}\p{M}\p{N}]+(?:['’][\p{L}\p{M}]+)*/gu) ?? []).map(plainWord);

/** Whether a text names a thing, in the singular or the plural and however it is capitalised. An empty name: no. */
export function namesWord(text: string, name: string): boolean {
  const wanted = wordsOf(name).map((word) => new Set(formsOfNoun(word)));
  if (wanted.length === 0) return false;
  const words = wordsOf(text);
  return words.some((_, at) =>
    wanted.every((forms, place) => {
      const word = words[at + place];
      return word !== undefined && formsOfNoun(word).some((form) => forms.has(form));
    }),
  );
}
