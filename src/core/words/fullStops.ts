/** Marks that may end a sentence, several in a row as one, with what closes behind them. */
const MARKS = /[.!?…]+["”’)\]]*(?=\s|$)/g;
/** What ends with a full stop and ends no sentence. */
const SHORTENED = /(?:^|[^\p{L}])(?:Mr|Mrs|Ms|Dr|St|Prof)$/u;
/** “No. 7” is a number; “No.” by itself is a sentence. */
const NUMBERED = /(?:^|[^\p{L}])No$/u;

/**
 * Sentence ends on each page, for clapping at them; an empty page has none. A mark inside speech that goes on (“Who?” he said) is
 * none, and the stop of Mr. and Dr. is none; with `every`, each mark counts but for theirs.
 */
export function fullStopsByPage(pages: readonly string[], which: 'ends' | 'every' = 'ends'): number[] {
  return pages.map((page) => [...page.matchAll(MARKS)].filter((found) => isEnd(page, found, which)).length);
}

function isEnd(page: string, { 0: marks, index }: RegExpMatchArray, which: 'ends' | 'every'): boolean {
  const before = page.slice(0, index);
  const after = page.slice(index! + marks.length);
  if (marks.startsWith('.') && SHORTENED.test(before)) return false;
  if (marks === '.' && NUMBERED.test(before) && /^\s+\d/.test(after)) return false;
  // What goes on in small letters is the same sentence.
  return which === 'every' || !/^\s+\p{Ll}/u.test(after);
}

/** Words of a text: runs of letters, digits and apostrophes. An empty text has none. */
export function countWordsIn(text: string): number {
  return text.match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu)?.length ?? 0;
}
