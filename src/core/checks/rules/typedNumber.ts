import { dialValues, isNumberDial, type Segment } from '../../session/index.ts';
import { namesOf } from '../../materials/index.ts';
import { own } from '../../message.ts';
import type { Check, CheckedPart, Noticed } from '../check.ts';
import { numbersSaid, type SaidLine, stemOf, wordsOf } from '../saidLines.ts';

/** A number that was typed where others of its kind can be turned: it stays behind when they move. */
export const typedNumber: Check = (looked) => {
  const moving = movingNouns(looked);
  if (moving.size === 0) return [];
  return looked.said.flatMap((said): Noticed[] => {
    if (said.line.says) return [];
    const typed = typedIn(said).find(({ value, after }) => after.some((word) => moving.get(stemOf(word))?.has(value)));
    if (!typed) return [];
    const { segment } = looked;
    return [
      {
        id: `typed:${segment.id}/${said.line.id}`,
        weight: 'warning',
        line: said.line.id,
        values: { number: own(typed.said), counted: own(typed.noun) },
        remedy: remedyFor(segment, said, typed),
      },
    ];
  });
};

/** What a number that can be turned counts in this part, with the values that it says of it. */
function movingNouns({ said, segment, things }: CheckedPart): Map<string, Set<number>> {
  const nouns = new Map<string, Set<number>>();
  const add = (noun: string, value: number) =>
    nouns.set(stemOf(noun), (nouns.get(stemOf(noun)) ?? new Set()).add(value));
  for (const { pieces } of said)
    for (const [index, piece] of pieces.entries()) {
      const value = piece.kind === 'dial' || piece.kind === 'computed' ? Number(piece.text) : Number.NaN;
      const [noun] = wordsOf(pieces[index + 1]?.text ?? '');
      if (value >= 2 && noun && noun.length > 2) add(noun, value);
    }
  const values = dialValues(segment.dials);
  for (const { item, qty } of segment.needs) {
    if (typeof qty !== 'string' || !Object.hasOwn(values, qty)) continue;
    const noun = wordsOf(namesOf(item, things).many).at(-1);
    if (noun) add(noun, Number(values[qty]));
  }
  return nouns;
}

/** The numbers of a line that stand in its typed words; a thing may stand behind one, and its own count is no typed one. */
function typedIn({ pieces }: SaidLine) {
  const isTyped = ({ kind, text }: SaidLine['pieces'][number]) =>
    kind === 'text' || (kind === 'thing' && !/^\d/.test(text));
  return numbersSaid(pieces.map((piece) => (isTyped(piece) ? piece.text : '#'.repeat(piece.text.length))).join(''));
}

/** The number put where the typed one stands: that of the one dial that says the same. */
function remedyFor(segment: Segment, { line }: SaidLine, typed: { value: number; said: string }): Noticed['remedy'] {
  const dials = segment.dials.filter((dial) => isNumberDial(dial) && dial.value === typed.value);
  const places = [...line.text.matchAll(new RegExp(`(?<![\\p{L}\\d{=-])${typed.said}(?![\\p{L}\\d}])`, 'gu'))];
  if (dials.length !== 1 || places.length !== 1) return undefined;
  const { index } = places[0]!;
  const text = `${line.text.slice(0, index)}{${dials[0]!.name}}${line.text.slice(index + typed.said.length)}`;
  return { do: 'change-line', segment: segment.id, line: line.id, change: { text } };
}
