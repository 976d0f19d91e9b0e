/** The words of the hunt for a hundred. */
export const hundredHunt = {
  title: 'Hunt for a hundred',
  about: 'A heap from the kitchen, counted by making tens; the guess comes first.',
  'dial.number': 'things found',
  'dial.guess': 'the guess',
  fact: '{tens, plural, one {# ten} other {# tens}} and {left}; {toHundred, plural, =0 {a hundred is reached} other {# to a hundred}}. A guess of {guess} is {side, select, same {right on it} many {{off} too many} other {{off} too few}}.',
  'do-3': 'Tip out a heap of {number}. Write the guess down before anything is counted.',
  'do-4': 'Make heaps of ten on plates.',
  'ask-6': '“How many full plates? How many left over?”',
  'ask-6.answer': '{tens} and {left}: {number}',
  'ask-7': '“How far was the guess?”',
  'ask-7.answer': 'the difference between it and {number}',
  'do-5': 'Stop at two plates of ten.',
  'ask-8': '“How many more to a hundred?”',
  'ask-8.answer': '{toHundred, plural, =0 {none: it is there} other {#}}',
  'swap.pasta-shape': 'easier to hold',
  key: '{tens} tens and {left}',
} as const;
