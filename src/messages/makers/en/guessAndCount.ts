/** The words of a handful guessed and counted. */
export const guessAndCount = {
  title: 'Guess and count',
  about: 'A handful under a cloth: guess, look again, count, and see how near it was.',
  'dial.number': 'under the cloth',
  'dial.near': 'near enough, either way',
  'problem.near':
    'with {near} either way every guess from {least} to {most} would be near; take a smaller span than {number}',
  fact: '{near, plural, =0 {Near is {number} itself.} other {Near is {least} to {most}.}}',
  'do-1': 'Put {number, plural, one {# thing} other {# things}} under a cloth. Lift it while you both say “one hippo”.',
  'ask-1': '“How many do you think?”',
  'ask-1.answer': 'any number; write it down',
  'do-2': 'Lift it again for as long; they may change the guess.',
  'ask-2': '“Count them. Was it near?”',
  'ask-2.answer':
    '{near, plural, =0 {{number}, and only that is near} other {{number}; from {least} to {most} is near}}',
  'do-3': 'Use at most four things: they can be seen without counting.',
  'do-4': 'Take {taken} away behind your back, and cover the rest.',
  'ask-3': '“I took some. How many are under the cloth now?”',
  'ask-3.answer': '{number} less {taken}: {left}',
  'swap.clothes-peg': 'all alike, and easy to count',
} as const;
