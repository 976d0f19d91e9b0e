/** The words of strips. */
export const strips = {
  title: 'Strips',
  about: 'A strip for each number, a mark longer each time, to lay in order.',
  'dial.from': 'from',
  'dial.to': 'to',
  'problem.down': 'the strips would run from {from} down to {to}; “to” must not be below “from”',
  'problem.few':
    'from {from} to {to} there {strips, plural, one {is one strip} other {are two strips}}, and no gap shows when one is taken out; take at least three',
  fact: '{strips, plural, one {# strip} other {# strips}}, {marks} marks in all; cells of {cell} mm.',
  'fact.two-pieces':
    'The longest is {longest} mm: strips with more than {across} marks are printed in two pieces, to be stuck together end to end.',
  'do-1':
    'Mix {strips, plural, one {# strip} other {# strips}}, {from} to {to} marks, and lay the shortest at the edge of the table.',
  'ask-1': '“Which comes next?”',
  'ask-1.answer': 'the one with {next} marks: one more',
  'ask-2': '“How much longer is each than the one before?”',
  'ask-2.answer': 'one mark',
  'if-1': 'The ends do not lie in line: hold a book against one side, and push them to it.',
  'do-2': 'Take two strips, {from} and {to}.',
  'ask-3': '“Which is longer?”',
  'ask-3.answer': '{to}',
  'do-3': 'Take one strip out behind your back and close the gap.',
  'ask-4': '“Which is missing?”',
  'ask-4.answer': 'where the step is two marks high',
  'swap.newspaper': 'torn along the fold',
  key: '{number}: {number, plural, one {# mark} other {# marks}}',
} as const;
