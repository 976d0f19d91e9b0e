/** What is said while a session is written. */
export const sheet = {
  'paste.came':
    '{lines, plural, one {One line} other {# lines}} came in, in {parts, plural, one {one part} other {# parts}}.',
  'paste.guessed':
    '{count, plural, one {For one of them we guessed what it is: it has a question mark beside it. Press it if it is simply something to do.} other {For # of them we guessed what they are: they have a question mark beside them. Press it where a line is simply something to do.}}',
} as const;
