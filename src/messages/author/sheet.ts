/** What is said while a session is written. */
export const sheet = {
  'paste.came':
    '{lines, plural, one {One line} other {# lines}} came in, in {parts, plural, one {one part} other {# parts}}.',
  'paste.guessed':
    '{count, plural, one {For one of them we guessed what it is: it has a question mark beside it. Press it if it is simply something to do.} other {For # of them we guessed what they are: they have a question mark beside them. Press it where a line is simply something to do.}}',
  'paste.left-out':
    '{count, plural, one {One line} other {# lines}} found no room: that is more than one session holds. They are still where you copied them from.',
  'history.lines': '{count, plural, one {a line} other {# lines}} written',
  'history.lines-out': '{count, plural, one {a line} other {# lines}} taken out',
  'history.parts': '{count, plural, one {a part} other {# parts}} put in',
  'history.parts-out': '{count, plural, one {a part} other {# parts}} taken out',
  'history.parts-moved': '{count, plural, one {a part} other {# parts}} moved',
  'history.things': '{count, plural, one {a thing} other {# things}} changed',
  'history.parts-changed': '{count, plural, one {a part} other {# parts}} set otherwise',
  'history.session': 'title, day or aim changed',
  'history.remarks': '{count, plural, one {a note} other {# notes}} for each other',
  'history.answered': '{count, plural, one {a note} other {# notes}} in the margin answered',
} as const;
