import { type FoundWord, isReadable, readWords } from '../cautions/index.ts';
import type { ThingsByKey } from '../materials/index.ts';
import { type PartText, type Segment, textsOfPart } from '../session/index.ts';

/** A word of a part that calls for something. */
export interface PartWord {
  /** `unread`: the text is in a language without a list. */
  readonly group: 'check' | 'note' | 'ask' | 'holds' | 'unread';
  readonly rule: string;
  /** The allergen it holds or may hold. */
  readonly allergen?: string | undefined;
  readonly word: string;
  readonly text: PartText;
}

/** What a part says, and what its words call for. */
export interface ReadPart {
  readonly texts: readonly PartText[];
  readonly words: readonly PartWord[];
}

/** Parts are values that never change, so what was read of one is known as long as the part and the things are the same. */
const known = new WeakMap<Segment, { readonly things: ThingsByKey; readonly read: ReadPart }>();

/** Reads all that a part may say to a home. A part without lines says nothing. */
export function readPart(segment: Segment, things: ThingsByKey): ReadPart {
  const before = known.get(segment);
  if (before?.things === things) return before.read;
  const texts = textsOfPart(segment, things);
  const read = { texts, words: texts.flatMap(wordsOf) };
  known.set(segment, { things, read });
  return read;
}

function wordsOf(text: PartText): PartWord[] {
  if (!isReadable(text.text)) return [{ group: 'unread', rule: 'unread', word: '', text }];
  // What a child may say back is no more than a word.
  if (text.isAnswer) return [];
  const { check, notes, asks, holding } = readWords(text.text, text.kind);
  const named = (group: PartWord['group'], rule: string, { word, allergen }: FoundWord): PartWord => ({
    group,
    rule,
    word,
    text,
    ...(allergen !== undefined && { allergen }),
  });
  // Only said, a word that means two things anyway is no more than a word.
  const asked = asks.filter(({ isSoftened }) => isSoftened || !text.isTalk);
  const isAsked = ({ from, to }: FoundWord) => asks.some((ask) => ask.from === from && ask.to === to);
  const boxes = asked.filter(({ rule, allergen }) => rule !== 'allergens' || allergen !== undefined);
  return [
    ...check.map((found) => named('check', found.rule, found)),
    ...notes.map((found) => named('note', found.rule, found)),
    ...boxes.map((found) => named('ask', found.rule, found)),
    ...holding.map((found) =>
      text.isTalk || isAsked(found)
        ? named('ask', 'allergens', { ...found, allergen: found.rule })
        : named('holds', 'allergens', { ...found, allergen: found.rule }),
    ),
  ];
}
