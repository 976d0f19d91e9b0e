import { type OWN_NAME_STEPS, type School, stepsOf } from '../core/terms/index.ts';
import { skillWords } from './skills.ts';

const OWN_NAME_WORDS: Readonly<Record<(typeof OWN_NAME_STEPS)[number], string>> = {
  hear: 'hear it: whose name is it?',
  'clap-parts': 'clap its parts',
  'first-sound': 'its first sound',
  find: 'find it among others',
  'first-letter': 'its first letter, large',
  order: 'its letters in order',
  trace: 'in sand, in the air',
  'join-strip': 'strip cut up and joined',
  copy: 'copied from a card',
  write: 'written without one',
};

/** The steps that a school begins with, as an author reads them; they may be changed like any words. */
export function firstSteps(school: School, soundOrder?: string): string[] {
  const steps = stepsOf(school, soundOrder);
  if (school === 'own-name') return steps.map((step) => OWN_NAME_WORDS[step as keyof typeof OWN_NAME_WORDS]);
  return school === 'number-rungs' ? steps.map(skillWords) : steps;
}
