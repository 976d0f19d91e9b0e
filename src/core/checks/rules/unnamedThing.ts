import { namesOf } from '../../materials/index.ts';
import { own } from '../../message.ts';
import { LEVELS, linesAt, textsOfPart } from '../../session/index.ts';
import { isAuthored } from '../authored.ts';
import type { Check } from '../check.ts';
import { stemOf, wordsOf } from '../saidLines.ts';

/** Something that is fetched, and that no line of any level says a word about. */
export const unnamedThing: Check = ({ segment, things }) => {
  if (segment.kind !== 'activity' || !isAuthored(segment) || segment.lines.length === 0) return [];
  const sources = LEVELS.flatMap((level) => linesAt(segment, level)).map(
    ({ text, answer }) => `${text} ${answer ?? ''}`,
  );
  const stems = new Set(
    textsOfPart(segment, things)
      .flatMap(({ text }) => wordsOf(text))
      .flatMap((word) => [word, ...word.split('-')])
      .map(stemOf),
  );
  return segment.needs.flatMap((need) => {
    if (sources.some((text) => text.includes(`{@${need.id}`))) return [];
    const names = [need.item, ...need.swaps.map(({ item }) => item)].map((item) => namesOf(item, things));
    const isNamed = names.some(({ one, many }) =>
      [...wordsOf(one), ...wordsOf(many)].some((word) => word.length > 2 && stems.has(stemOf(word))),
    );
    if (isNamed) return [];
    return [
      {
        id: `unnamed:${segment.id}/${need.id}`,
        weight: 'warning',
        values: { things: own(namesOf(need.item, things).many) },
        remedy: { do: 'remove-need', segment: segment.id, need: need.id },
      },
    ];
  });
};
