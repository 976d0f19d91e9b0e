/** The words of the bead row. */
export const beadRow = {
  title: 'Bead row to 100',
  printable: 'Bead row',
  about: 'Tens in two colours: any number is so many tens and so many more.',
  'dial.number': 'number',
  'dial.step': 'steps of',
  fact: '{number} is {number, number, words}: {tens, plural, one {# ten} other {# tens}} and {ones, plural, one {# one} other {# ones}}.',
  'fact.steps':
    'Steps of {step}: {landing, select, yes {{jumps} jumps land on it} other {they do not land on it}}; steps that do: {fit, plural, =0 {none of 2, 5, 10} other {{fitting}}}.',
  'do-1': 'Thread or lay beads in tens, two colours in turn.',
  'ask-1': '“Show me {number, number, words}.”',
  'ask-1.answer': '{tens, plural, one {# ten} other {# tens}} and {ones}',
  'ask-2': '“How many whole tens? How many more?”',
  'ask-2.answer': '{tens}, and {ones}',
  'ask-3': '“Jump in steps of {step}. Do we land on it?”',
  'ask-3.answer':
    '{landing, select, yes {yes, after {jumps, plural, one {# jump} other {# jumps}}} nothing {there is nothing to jump to} past {no: the first jump goes past it} other {no: {last} and {over} more}}',
  'do-2': 'Use the first ten only.',
  'ask-4': '“Show me {few}.”',
  'ask-4.answer': '{few}',
  'ask-5': '“And how many more to a hundred?”',
  'ask-5.answer': '{toHundred}',
  'swap.building-block': 'a home has about twenty: build one ten after the other',
  key: '{number}: {tens} tens, {ones} ones',
} as const;
