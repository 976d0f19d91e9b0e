/** The words of the balance. */
export const balance = {
  title: 'Balance',
  about: 'Two bags on a hanger: what is heavier, and how many counters make it level.',
  'dial.left': 'weight on the left, in counters',
  'dial.right': 'weight on the right',
  'dial.guess': 'the guess: so many more',
  'problem.nothing': 'with nothing on either side there is nothing to weigh; put something into one of the bags',
  fact: '{side, select, neither {{left} and {right}: level.} left {Left is heavier by {difference}; a guess of {guess} would be {off} away.} other {Right is heavier by {difference}; a guess of {guess} would be {off} away.}}',
  'do-1':
    'Hang a coat hanger on a door handle with a bag on each end. All counters are alike. Put {left, plural, one {# counter} other {# counters}} into the left bag and {right, plural, one {# counter} other {# counters}} into the right one.',
  'ask-1': '“Which side will go down?”',
  'ask-1.answer':
    '{side, select, neither {neither: it stays level} left {the left one: the lower side is heavier} other {the right one: the lower side is heavier}}',
  'ask-2': '“How many more to make it level?”',
  'ask-2.answer': '{difference, plural, =0 {none} other {# more on the other side}}',
  'if-1': 'The hanger slips: tape it to the handle.',
  'do-2':
    'Hang a coat hanger on a door handle with a bag on each end. Put {most, plural, one {# counter} other {# counters}} into one bag, and none into the other.',
  'ask-3': '“Which is heavier?”',
  'ask-3.answer': 'the one with the counters: it hangs lower',
  'ask-4': '“What weighs the same as the left bag?”',
  'ask-4.answer': '{left, plural, one {# counter} other {# counters}}',
  'swap.sock': 'tied on with a knot',
  'swap.spoon': 'all alike, but heavy',
  key: 'difference {difference}',
} as const;
