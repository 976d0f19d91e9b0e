/** Sentences that frame a book, a song or a session when a guide is put together. */
export const framing = {
  own: '{text}',
  hello: 'Hello',
  'hello-do': 'Put your phone where you can see it, and sit down where your child is.',
  'hello-say': '“I have something for us. Shall we see what it is?”',
  'hello-if': 'They are not in the mood: leave it for tomorrow.',
  goodbye: 'Goodbye',
  'goodbye-ask': '“What shall we show the others later?”',
  'goodbye-ask.why': 'Telling it once more is what makes it stay.',
  'goodbye-do': 'Put the things away together. What is still interesting may stay out.',
  'fetch-book': 'Sit side by side with “{title}”, so that you both see the pages the right way up.',
  'read-it': 'Read “{title}”, slower than you think. Stop whenever your child wants to look.',
  'after-page': 'After page {page}: {question}',
  'count-on-page': 'On page {page} count together with a finger: {number}.',
  'sing-to': 'Sing to the tune of “{tune}”. {actions}',
} as const;

/** The names of framing sentences; each language has them all. */
export type FramingCatalogue = Readonly<Record<keyof typeof framing, string>>;
