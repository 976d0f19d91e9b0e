import { isAuthored } from '../authored.ts';
import { type Check } from '../check.ts';
import { isOpenQuestion } from './onlyClosed.ts';

/** Questions with a right answer, and not a word about what to do when another one comes. */
export const noOtherAnswer: Check = ({ segment, said }) => {
  if (segment.kind !== 'activity' || !isAuthored(segment)) return [];
  if (said.some(({ line }) => line.kind === 'if')) return [];
  const asked = said.find(({ line, text, answer }) => line.kind === 'ask' && answer !== '' && !isOpenQuestion(text));
  return asked ? [{ id: `other-answer:${segment.id}`, weight: 'note', line: asked.line.id }] : [];
};
