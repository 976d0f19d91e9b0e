/** The words of the tally. */
export const tally = {
  title: 'Tally',
  about: 'A stroke for each that passes, a bar across every fifth.',
  'dial.number': 'how many',
  name: '{value, number, words}',
  fact: '{fives, plural, one {# bundle} other {# bundles}} of five and {rest}: {number}.',
  'do-1': 'Choose what to look out for: red cars, dogs, people on bicycles. Take paper and a pencil.',
  'say-1': '“Each time we see one, a stroke. The fifth lies down across the others.”',
  'ask-1': 'Go on until you have {number} of them. “How many strokes are there?”',
  'ask-1.answer': '{counting}',
  'notice-1': 'Do they count on from the fives, or each stroke from one?',
  'do-2': 'Stop at four strokes, before any bar, and count them with a finger.',
  'ask-2': '“How many bundles make twenty?”',
  'ask-2.answer': 'four',
  'swap.crayon': 'thicker, and easier to hold',
} as const;
