import { isNumberDial, type Segment } from '../../session/index.ts';
import type { Check, CheckedPart } from '../check.ts';
import { numbersSaid, saidLines } from '../saidLines.ts';

const COUNTS = /\b(?:count|counting|counts|how many)\b/i;
const PAST_TWELVE = /\b(?:thirteen|fourteen|fifteen|twenty|thirty|a hundred)\b/i;

/** Counting that goes to ten and never past it, in every part that counts so far. It is said at the last of them. */
export const stopsAtTen: Check = ({ segment, composed }) => {
  const tens = composed.segments.filter((part) => highestOf(part) >= 10);
  const [first] = tens;
  if (!first || tens.at(-1)!.segment.id !== segment.id || tens.some((part) => highestOf(part) > 10)) return [];
  const line = saidLines(tens.at(-1)!.lines).find(({ text, answer }) =>
    numbersSaid(`${text} ${answer}`).some(({ value }) => value === 10),
  );
  return [{ id: `ten:${segment.id}`, weight: 'note', line: line?.line.id }];
};

/** The highest number that a part counts to, whatever its dials may be turned to; 0 where it counts nothing. */
function highestOf({ segment, lines }: CheckedPart['part']): number {
  const counting = saidLines(lines).filter(({ text, line }) => COUNTS.test(text) && !line.says);
  const said = counting.map(({ text, answer }) => `${text} ${answer}`);
  const numbers = said.flatMap((text) => numbersSaid(text).map(({ value, noun }) => (isTime(noun) ? 0 : value)));
  const isPast = said.some((text) => PAST_TWELVE.test(text));
  const canTurn = counting.some(({ pieces }) => pieces.some(({ kind }) => kind !== 'text'));
  return Math.max(0, ...numbers, ...(canTurn ? dialsOf(segment) : []), isPast ? 13 : 0);
}

const isTime = (noun: string) => /^(?:minute|second|hour|day|centimetre|cm|page)$/.test(noun);

/** How far its numbers can be turned counts too: a part that may go on to twenty does not stop at ten. */
const dialsOf = ({ dials }: Segment) => dials.flatMap((dial) => (isNumberDial(dial) ? [dial.max] : []));
