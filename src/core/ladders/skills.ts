/** The rungs of the number ladder, in order. */
export const NUMBER_SKILLS = [
  'handle',
  'same-different',
  'match',
  'sort',
  'say-row',
  'touch-count',
  'how-many',
  'count-out',
  'see-how-many',
  'numeral-quantity',
  'compare',
  'order',
  'pattern',
  'parts-whole',
  'count-back',
  'tens-ones',
  'steps',
  'coins',
  'join-separate',
  'shapes',
  'size-order',
  'week-day',
] as const;

/** The rungs of the language ladder, in order. */
export const LANGUAGE_SKILLS = [
  'listen',
  'beat',
  'rhyme',
  'first-sound',
  'blend',
  'break-words',
  'letter-sound',
  'build-words',
  'two-letters',
  'common-words',
  'sentences',
  'retell',
  'write',
  'by-heart',
] as const;

/** What lies beside the two ladders. */
export const OTHER_SKILLS = ['movement', 'senses', 'making', 'science', 'self-care', 'feelings'] as const;

/** Every skill, ladders first. */
export const ALL_SKILLS: readonly string[] = [...NUMBER_SKILLS, ...LANGUAGE_SKILLS, ...OTHER_SKILLS];
