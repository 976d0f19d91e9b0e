import type { ThingsByKey } from './thing.ts';

/** What some work is done with, by the key it has in the starter collection. */
const TOOLS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:cut|snip)(?:ting)?\b/i, 'scissors'],
  [/\b(?:glue|stick) (?:it|them|the|a|each|on|down)\b/i, 'glue-stick'],
  [/\b(?:draw|colour in|colour it)\b/i, 'crayon'],
  [/\bstir\b/i, 'wooden-spoon'],
  [/\btape (?:it|them|the|each|down)\b/i, 'masking-tape'],
];

/** The tools that the work in a line asks for, by key, of those there are. No such work: none. */
export function toolsFor(text: string, things: ThingsByKey): string[] {
  return TOOLS.flatMap(([work, key]) => (work.test(text) && Object.hasOwn(things, key) ? [key] : []));
}
