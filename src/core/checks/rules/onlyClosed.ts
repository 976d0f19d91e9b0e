import { isAuthored } from '../authored.ts';
import type { Check } from '../check.ts';
import type { Edit } from '../../session/index.ts';

const OPEN =
  /\b(?:how (?:do|did|can|could|would|might|shall|will|does|come|is it|was it)|why|what (?:else|could|might|would|happens|happened|if|changed|changes|shall|should|do you|did you|can you|will|was different|is different|goes|makes|made)|what’s (?:different|changed|happening|the same)|can you (?:think|find another|tell|show|make)|could you|tell me|which (?:one )?(?:would|do you|shall|will|could)|where (?:could|might|would|shall|will|do you)|who (?:could|might|would|do you)|any (?:other|more) ideas?|another way|or how)\b/i;

/** Whether a question leaves open what is answered. */
export function isOpenQuestion(text: string): boolean {
  return OPEN.test(text);
}

/** A part that only asks what has one answer. */
export const onlyClosed: Check = ({ segment, said }) => {
  if (segment.kind !== 'activity' || !isAuthored(segment)) return [];
  const asked = said.filter(({ line }) => line.kind === 'ask');
  if (asked.length < 2 || asked.some(({ text }) => isOpenQuestion(text))) return [];
  const last = asked.at(-1)!.line.id;
  const remedy: Edit = {
    do: 'add-line',
    segment: segment.id,
    line: { id: `${segment.id}-open`, kind: 'ask', text: '“How do you know?”' },
    at: said.findIndex(({ line }) => line.id === last) + 1,
  };
  const isTaken = said.some(({ line }) => line.id === `${segment.id}-open`);
  return [{ id: `closed:${segment.id}`, weight: 'note', line: last, remedy: isTaken ? undefined : remedy }];
};
