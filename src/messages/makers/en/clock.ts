/** The words of the clock. */
export const clock = {
  title: 'Clock',
  about: 'O’clock and half past, with the small hand where it belongs.',
  'dial.hour': 'hour',
  'dial.minutes': 'minutes',
  time: '{half, select, yes {half past {hour, number, words}} other {{hour, number, words} o’clock}}',
  fact: 'It shows {half, select, yes {half past {hour, number, words}} other {{hour, number, words} o’clock}}.',
  'do-1':
    '{half, select, yes {Set the clock to half past {hour, number, words}: the long hand to the six, the short one between {hour} and {next}.} other {Set the clock to {hour, number, words} o’clock: the long hand to the twelve, the short one to the {hour}.}}',
  'ask-1': '“What does the short hand point to?”',
  'ask-1.answer': '{half, select, yes {past {hour}, on the way to {next}} other {{hour}}}',
  'ask-2': '“What do we do at that time?”',
  'ask-2.answer': 'whatever is true in your home',
  'if-1': 'They read the long hand as the hour: cover it with a finger, and read the short one first.',
  'do-2': 'Use the short hand only.',
  'ask-3': '“Between which two numbers?”',
  'ask-3.answer': '{hour} and {next}',
  'ask-4': '“Near which number?”',
  'ask-4.answer': '{hour}',
  'ask-5': '“And an hour later?”',
  'ask-5.answer': '{half, select, yes {half past {next, number, words}} other {{next, number, words} o’clock}}',
  'swap.plate': 'numerals on notes, hands of two pencils',
} as const;
