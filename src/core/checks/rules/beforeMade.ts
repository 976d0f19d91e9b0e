import { namesOf } from '../../materials/index.ts';
import { own } from '../../message.ts';
import type { Check } from '../check.ts';
import { stemOf, wordsOf } from '../saidLines.ts';

const MAKES =
  /(?:^|[.!?:;] ?|, | and | then )(?:make|cut out|cut|fold|build|draw|write|prepare|roll|tear|colour|stick together|print)\s(?:(?:out|up)\s)?(?:(?:an?|the|your|some|\d+|two|three|four|five|six|seven|eight|nine|ten|twelve)\s)(?:[\p{L}-]+\s){0,2}?([\p{L}-]{3,})(?=[.,;:!?]|$| (?:out|from|of|on|with|for|in|and|into|together)\b)/giu;
const HANDLES =
  /\b(?:deal|give out|hold|put|take|lift|turn|point to|move|hide|pass|shake|fetch|open|hang|fly|wear|shuffle|lay|place|show|use|spin|throw|pick)\b/i;

/** A thing that is used in an earlier line than the one it is made in. */
export const beforeMade: Check = ({ segment, said, things }) => {
  const fetched = new Set(
    segment.needs.flatMap(({ item }) => wordsOf(Object.values(namesOf(item, things)).join(' '))).map(stemOf),
  );
  const done = said.map(({ line, text }, index) => ({ line, text, index })).filter(({ line }) => line.kind === 'do');
  for (const { line, text, index } of done)
    for (const { 1: noun } of text.matchAll(MAKES)) {
      const stem = stemOf(noun!);
      if (fetched.has(stem)) continue;
      const earlier = done.find((other) => other.index < index && mentions(other.text, stem));
      if (!earlier || !HANDLES.test(earlier.text)) continue;
      return [
        {
          id: `before-made:${segment.id}/${stem}`,
          weight: 'warning',
          line: earlier.line.id,
          values: { thing: own(noun!) },
          remedy: { do: 'move-line', segment: segment.id, line: line.id, to: earlier.index },
        },
      ];
    }
  return [];
};

/** “The cards”, “your kite”, “each card”: what is spoken of as there. */
function mentions(text: string, stem: string): boolean {
  const words = wordsOf(text);
  return words.some(
    (word, at) =>
      stemOf(word) === stem &&
      words.slice(Math.max(0, at - 2), at).some((before) => /^(?:the|your|each|every|all|both)$/.test(before)),
  );
}
