/** The skills of both ladders and beyond them, in the order of the ladders, as authors read them. */
export const SKILL_WORDS: Readonly<Record<string, string>> = {
  handle: 'free handling',
  'same-different': 'same and different',
  match: 'one to one',
  sort: 'sorting',
  'say-row': 'the number row',
  'touch-count': 'touch and count',
  'how-many': 'how many',
  'count-out': 'counting out',
  'see-how-many': 'seeing how many at a glance',
  'numeral-quantity': 'numeral and quantity',
  compare: 'comparing',
  order: 'order',
  pattern: 'pattern',
  'parts-whole': 'parts and whole',
  'count-back': 'counting back',
  'tens-ones': 'tens and ones',
  steps: 'steps of 2, 5, 10',
  coins: 'coins',
  listen: 'listening',
  beat: 'beat',
  rhyme: 'rhyme',
  'first-sound': 'first sound',
  blend: 'putting sounds together',
  'break-words': 'splitting a word into sounds',
  'letter-sound': 'a sound and its letter',
  'build-words': 'building words',
  'two-letters': 'two letters, one sound',
  'common-words': 'common words',
  sentences: 'sentences',
  movement: 'movement',
  senses: 'senses',
  making: 'making',
  science: 'finding out',
  'self-care': 'looking after oneself',
  feelings: 'feelings',
};

/** A skill's words; an unknown one is shown as it was written. */
export function skillWords(skill: string): string {
  return SKILL_WORDS[skill] ?? skill.replaceAll('-', ' ');
}
