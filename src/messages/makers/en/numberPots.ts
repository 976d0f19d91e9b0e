/** The words of number pots. */
export const numberPots = {
  title: 'Number pots',
  printable: 'Labels for pots',
  about: 'A pot for each number, and exactly enough counters to fill them all.',
  'dial.from': 'from',
  'dial.to': 'to',
  'problem.down': 'the pots would run from {from} down to {to}; “to” must not be below “from”',
  'problem.zero-late': 'this programme brings zero late: a pot for 0 comes once there are pots to 5',
  name: '{value, number, words}',
  'long-sum': '{from} + … + {to}',
  fact: '{sum} = {counters, plural, one {# counter} other {# counters}} in {pots, plural, one {# pot} other {# pots}}.',
  'fact.past-ten': 'Counting stops at ten or before: try it past ten, too, so that ten is not the end.',
  'do-1':
    'Stand {pots, plural, one {# pot} other {# pots}} in a row, {from} to {to}, and lay {counters, plural, one {# counter} other {# counters}} in a heap.',
  'say-1': '“Each pot says how many it wants. Shall we feed them?”',
  'ask-1': '“What goes into the pot that says 0?”',
  'ask-1.answer': 'nothing: it stays empty',
  'ask-2': '“Is anything left over?”',
  'ask-2.answer': 'nothing: if there is, one pot has the wrong number',
  'if-1': 'They drop in one too many: tip that pot into your hand and count together, stopping at what its label says.',
  'notice-1': 'Do they stop by themselves at the last word?',
  'do-2':
    'Use pots for {few} only, with {fewCounters, plural, one {# counter} other {# counters}}, and put them into your child’s hand one by one: {counting}.',
  'do-3': 'Lay the labels face down; your child fills a pot and finds the label that belongs to it.',
  'swap.bowl': 'wide enough for a whole hand',
  'swap.muffin-tray': '{cover, plural, =0 {twelve hollows} other {twelve hollows: cover #}}',
  key: 'pot {number}: {number, plural, one {# counter} other {# counters}}',
} as const;
