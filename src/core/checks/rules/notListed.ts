import { namesOf, thingsNamed } from '../../materials/index.ts';
import { own } from '../../message.ts';
import { isAuthored } from '../authored.ts';
import type { Check, Noticed } from '../check.ts';
import { stemOf, wordsOf } from '../saidLines.ts';

const FETCHES =
  /(?:^|[.:;!] |, | and | then )(?:fetch|get|bring|find|take|put out|set out|tip out|hand out|collect|pick up|give (?:\w+ ){1,2}|fill|use|line up)\s/i;

/** Something from the shelf that a line has fetched, and that nobody is told to have there. */
export const notListed: Check = ({ segment, said, things, names }) => {
  if (segment.kind !== 'activity' || !isAuthored(segment)) return [];
  const listed = new Set(segment.needs.flatMap(({ item, swaps }) => [item, ...swaps.map((swap) => swap.item)]));
  const listedStems = new Set(
    [...listed].flatMap((item) => wordsOf(Object.values(namesOf(item, things)).join(' '))).map(stemOf),
  );
  const found: Noticed[] = [];
  for (const { line, text, pieces } of said) {
    if (line.kind !== 'do' || !FETCHES.test(text)) continue;
    const typed = pieces.map((piece) => (piece.kind === 'thing' ? '.' : piece.text)).join('');
    for (const { item, qty } of thingsNamed(typed, names)) {
      const { one, many } = namesOf(item, things);
      const head = wordsOf(one).at(-1) ?? '';
      if (listed.has(item) || listedStems.has(stemOf(head)) || !isNew(typed, [one, many])) continue;
      listed.add(item);
      found.push({
        id: `not-listed:${segment.id}/${item}`,
        weight: 'warning',
        line: line.id,
        values: { things: own(qty === 1 ? one : many) },
        remedy: { do: 'add-need', segment: segment.id, item, qty },
      });
    }
  }
  return found;
};

/** Spoken of for the first time: “a bowl”, “6 cups”, “some lids”, and not “the bowl”. */
function isNew(text: string, names: readonly string[]): boolean {
  return names.some((name) =>
    new RegExp(
      `\\b(?:an?|some|\\d+|two|three|four|five|six|seven|eight|nine|ten|twelve) ${escaped(name)}(?![\\p{L}-])`,
      'iu',
    ).test(text),
  );
}

const escaped = (name: string) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
