/** The words of strips cut in two. */
export const lengthPairs = {
  title: 'Length pairs',
  printable: 'Strips to cut in two',
  about: 'Coloured strips cut in two: every half fits one other, and no two tie.',
  'dial.colours': 'strips',
  'dial.difference': 'shortest difference that shows, mm',
  'problem.too-long':
    '{strips} strips cannot be cut from {length} mm so that any two pieces differ by {difference} mm; at most {most} mm is possible. Choose fewer strips or a smaller difference',
  fact: 'Pieces of {lengths} mm: any two differ by at least {difference} mm.',
  'do-1': 'Cut {strips} strips of {length} mm at {cuts} mm, and mix the pieces.',
  'ask-1': '“Which two make one long strip again?”',
  'ask-1.answer': 'those of one colour; laid end to end all are equally long',
  'ask-2': '“Which piece is the shortest of all?”',
  'ask-2.answer': '{shortest} mm',
  'notice-1': 'Do they lay the ends in line before they say which is longer?',
  'do-2': 'Take the longest and the shortest piece only.',
  'ask-3': '“Which is longer?”',
  'ask-3.answer': '{longest} mm against {shortest} mm',
  'do-3': 'Lay all {pieces} pieces in order, without looking at the colours.',
  'swap.drinking-straw': 'cut straws roll, so lay them against a book',
  key: '{letter}: {cut} mm and {rest} mm',
} as const;
