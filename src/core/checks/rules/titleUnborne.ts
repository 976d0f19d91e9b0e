import { textsOfPart } from '../../session/index.ts';
import { namesOf } from '../../materials/index.ts';
import { own } from '../../message.ts';
import { isAuthored } from '../authored.ts';
import type { Check } from '../check.ts';
import { stemOf, wordsOf } from '../saidLines.ts';

const SMALL = new Set(
  'a an the and or of for from to in on at by with without is are it its who what where when which how why not no my your our their this that these those as into out up down over under off after before then one two three all some any only again more most first last next same very be can will make made making find go goes going play game let us’ let’s'.split(
    ' ',
  ),
);

/** A title whose words come up in no line: a promise that the script doesn’t keep. */
export const titleUnborne: Check = ({ segment, things }) => {
  if (segment.kind !== 'activity' || !isAuthored(segment) || segment.lines.length === 0) return [];
  const wanted = wordsOf(segment.title).filter((word) => !SMALL.has(word) && word.length > 2);
  if (wanted.length === 0) return [];
  const texts = textsOfPart(segment, things).map(({ text }) => text);
  const fetched = segment.needs.flatMap(({ item }) => Object.values(namesOf(item, things)));
  const words = [...texts, ...fetched].flatMap((text) => wordsOf(text)).flatMap((word) => [word, ...word.split('-')]);
  const stems = new Set(words.map(stemOf));
  const isBorne = wanted.flatMap((word) => word.split('-')).some((word) => stems.has(stemOf(word)));
  return isBorne ? [] : [{ id: `title:${segment.id}`, weight: 'note', values: { title: own(segment.title) } }];
};
