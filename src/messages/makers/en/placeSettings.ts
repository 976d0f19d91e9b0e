/** The words of place settings. */
export const placeSettings = {
  title: 'Place settings',
  printable: 'Place mats',
  about: 'One of everything for each; how many more, and one too few on purpose.',
  'dial.people': 'people',
  'dial.things': 'things for each',
  'dial.placed': 'cups that stand already',
  'problem.too-many':
    '{placed, plural, one {# cup} other {# cups}} for {people, plural, one {# person} other {# people}} leaves nothing to find out; at most {people} can stand already',
  cup: '{number, plural, one {# cup} other {# cups}}',
  plate: '{number, plural, one {# plate} other {# plates}}',
  spoon: '{number, plural, one {# spoon} other {# spoons}}',
  'paper-napkin': '{number, plural, one {# napkin} other {# napkins}}',
  'one.cup': 'cup',
  'one.plate': 'plate',
  'one.spoon': 'spoon',
  'one.paper-napkin': 'napkin',
  fact: '{people} × {things} = {all} things; {more, plural, =0 {no cup is missing} one {# more cup to fetch} other {# more cups to fetch}}.',
  'do-1':
    'Set {people, plural, one {# chair or cushion} other {# chairs or cushions}}.{placed, plural, =0 {} one { Put # cup on the table.} other { Put # cups on the table.}}{fetch, plural, =0 {} other { Have {fetched} within reach.}}',
  'say-1': '“Everybody gets one of everything.”',
  'ask-1':
    '“{cups, plural, =0 {No cup stands there yet} one {# cup stands there} other {# cups stand there}}. How many more?”',
  'ask-1.answer': '{left}',
  'notice-1': 'Do they fetch one at a time, or the right number at once?',
  'do-2':
    '{things, plural, =1 {Tap each place in turn. Your child puts one cup there.} other {Put a plate at each place yourself. Your child puts one cup on each.}}',
  'do-3': 'Take one {one} away without a word: {fewer} for {people}.',
  'ask-2': '“Has everybody got one?”',
  'ask-2.answer': 'no: one place has none',
  'swap.cushion': 'a table on the floor',
  key: '{cups, plural, =0 {No cup stands there yet} one {# cup stands there} other {# cups stand there}}. How many more? {left}',
  'key.none': 'everybody has one',
} as const;
