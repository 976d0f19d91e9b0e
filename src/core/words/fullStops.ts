/** Where a sentence ends: a full stop, question mark or exclamation mark, once for several in a row, before space, a quotation mark or the end. */
const SENTENCE_END = /[.!?…]+(?=["”’)\]]*(\s|$))/g;

/** Sentence ends on each page, for clapping at them; an empty page has none. */
export function fullStopsByPage(pages: readonly string[]): number[] {
  return pages.map((page) => page.match(SENTENCE_END)?.length ?? 0);
}

/** Words of a text: runs of letters, digits and apostrophes. An empty text has none. */
export function countWordsIn(text: string): number {
  return text.match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu)?.length ?? 0;
}
