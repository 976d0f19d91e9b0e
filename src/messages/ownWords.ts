/** U+2068 and U+2069: what stands between them reads in its own direction, and is in the author's language. */
const OPEN = '\u2068';
const CLOSE = '\u2069';

/** Marks words as an author's, inside a sentence of any language. Nothing stays nothing. */
export function own(text: string): string {
  return text === '' ? '' : `${OPEN}${text}${CLOSE}`;
}

/** A text without its marks, for paper and letters. */
export function withoutMarks(text: string): string {
  return text.replaceAll(OPEN, '').replaceAll(CLOSE, '');
}

/** The pieces of a text in order, an author's words apart from the sentence around them. */
export function splitOwn(text: string): { text: string; isOwn: boolean }[] {
  return text
    .split(/(\u2068[^\u2068\u2069]*\u2069)/)
    .filter((piece) => piece !== '')
    .map((piece) => ({ text: withoutMarks(piece), isOwn: piece.startsWith(OPEN) }));
}
