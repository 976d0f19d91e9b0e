import { seededChance, shuffle } from '../chance.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import { PICTURE_WORDS, type PictureWord } from './pictureWords.ts';

/** A piece of a sentence: a word to read, or a noun shown as its picture. */
type BookPiece = ({ readonly word: string } | { readonly picture: PictureWord }) & {
  /** A comma follows it. */
  readonly hasComma?: boolean | undefined;
};

/** A sentence with the mark that ends it. */
export interface BookSentence {
  readonly pieces: readonly BookPiece[];
  readonly mark: '.' | '!' | '?';
}

/** A page of reading: the word that is new on it, null on those that only read again. */
export interface BookPage {
  readonly newWord: string | null;
  readonly sentences: readonly BookSentence[];
}

/** Why no book can be made: a word that no sentence of ours holds with only the words before it, or that none holds at all. */
export type LittleBookProblem =
  | { readonly code: 'alone'; readonly word: string; readonly needs: readonly string[] }
  | { readonly code: 'no-sentence'; readonly word: string }
  | { readonly code: 'count'; readonly most: number };

/** Nouns by what can be said of them. */
const NOUNS: Readonly<Record<string, string>> = {
  thing: 'hat sock cup key bell drum kite torch brush comb bucket basket crown scarf shell feather button',
  animal: 'cat dog fox hen frog duck snail bee rabbit hedgehog goat',
  place: 'house shed tent bridge hill tree boat',
  high: 'hill tree ladder bridge',
  food: 'pear carrot cake potato lemon tomato',
  vehicle: 'bus van tractor boat rocket tram scooter',
  inside: 'box bag basket bucket bath tent',
  sky: 'sun moon star cloud',
};
type Noun = keyof typeof NOUNS;

/**
 * Sentences of ours. Small words are read; a noun in brackets is shown as a picture of its kind. Every sentence stands alone and is
 * true of any noun of its kind.
 */
const SENTENCES = `
the [animal].|the [sky]!|a [thing].|a [animal]!|my [thing].|my [thing]!|
the [animal] and the [animal].|a [animal] and a [animal].|[animal] and [animal].|my [thing] and my [thing].|the [sky] and the [sky].|
see the [animal].|see the [sky]!|see my [thing].|see a [animal]!|see [animal] and [animal].|I see the [animal].|I see a [vehicle].|I see my [thing].|I see [animal] and [animal].|
we see the [sky].|we see a [animal].|we see my [thing].|you see the [animal].|you see a [vehicle].|you see my [thing]!|
go, [vehicle], go!|go, [animal]!|go and see the [animal].|go to the [place].|we go to the [place].|I go to the [place].|you go to the [place].|I go to my [place].|we go and see the [animal].|I go and you go.|
go up the [high].|up, up, [animal]!|up and up we go.|the [sky] is up.|look up!|go up!|we go up the [high].|the [animal] is up the [high].|
go down the [high].|down, down, [animal]!|I go up and down.|we go down the [high].|the [animal] is down.|go down!|
is it a [animal]?|it is a [animal].|it is my [thing]!|is it my [thing]?|the [animal] is in the [inside].|the [animal] is big.|the [animal] is little.|it is the [sky].|is the [animal] big?|
in the [inside]!|a [animal] in a [inside]!|the [food] in my [inside].|in, in, [animal]!|I see a [animal] in the [inside].|it is in my [inside].|look in the [inside].|go in the [inside]!|
on the [place]!|a [animal] on my [place]!|the [thing] is on the [animal]!|it is on my [thing].|the [animal] is on the [vehicle].|go on the [vehicle].|
look at the [animal].|look at my [thing]!|we look at the [sky].|I look at a [animal].|look, a [animal]!|look, the [sky]!|look, [animal]!|at the [place]!|
I am a [animal].|am I a [animal]?|I am in the [inside].|I am on the [place].|I am at the [place].|I am big.|I am little.|
you and my [animal].|are you a [animal]?|you are my [animal].|are you in the [inside]?|we are in the [vehicle].|are we at the [place]?|you are big!|
we like the [animal].|I like my [thing].|you like [food].|we like [food] and [food].|I like [food].|I like the [animal].|
I can see it.|I can see the [animal].|can you see my [thing]?|we can go to the [place].|can the [animal] see my [thing]?|can a [animal] see?|you can go in.|the [animal] can go.|
here is my [thing].|here is the [animal].|here, [animal]!|we are here!|I am here.|is the [animal] here?|come here!|
come, [animal]!|come and see the [animal].|come to the [place].|come to my [place].|come in!|you come and I go.|
no, [animal], no!|no [food] here.|no, it is a [animal].|no [animal] in my [inside]!|
yes, it is.|yes, a [animal]!|yes, you can.|yes, the [animal].|yes, my [thing]!|yes, [animal], yes!|
a big [animal]!|the big [animal] and the [animal].|my big [thing].|I see a big [animal].|big, big [sky]!|
a little [animal]!|my little [thing].|the little [animal].|I see a little [animal].|big [animal], little [animal].|
to the [place]!|to my [place].|
a [food] for you!|it is for my [animal].|a [thing] for the [animal].|a [food] for me!|for my [animal].|[food] for [animal].|
me and my [animal].|look at me!|see me!|come to me!|you and me.|it is me!|
this is my [thing].|this is a [animal].|is this a [food]?|this [thing] is for you.|see this [animal]!|see this!|look at this [animal]!|
that is my [thing].|that is a [animal]!|is that a [animal]?|see that [animal]!|look at that!|
he is a [animal].|he can see me.|he and the [animal].|he is in the [inside].|is he here?|he is big.|
she is my [animal].|she can go.|she and he.|she is in the [vehicle].|is she here?|she and the [animal].|
they are here!|they see the [sky].|they go to the [place].|they can see us.|they and I.|they like [food].|
was it a [animal]?|it was my [thing].|the [animal] was in the [inside].|he was here.|I was little.|was the [animal] big?|
I said no.|you said yes.|we said go!|he said no!|she said yes!|they said it is big.|
go with a [animal].|a [animal] with a [thing].|come with me!|with my [thing]!|the [animal] with the [thing].|I go with you.|
have a [food]!|I have a [thing].|you have my [thing]!|we have [food].|they have a [vehicle].|
a [thing] of my [animal].|the [thing] of the [animal].|
it is not a [animal].|I am not a [animal]!|not my [thing]!|no, not the [animal].|the [animal] is not here.|not the [animal]!|
we all go.|all of us.|all in!|we all see the [sky].|we are all here.|all the [animal] go!|
it is so big!|so little!|so we go to the [place].|so, a [animal]!|so I see the [animal].|
play with me!|we play with the [animal].|play, [animal]!|I play and you see.|I can play.|we play.|
run, [animal], run!|I run to the [place].|we run and run.|the [animal] can run.|run to me!|run and see!|
jump, [animal]!|I can jump.|jump up!|jump in!|the [animal] can jump.|jump and go!|
come to us.|see us!|the [animal] and us.|look at us!|
me too!|you too!|the [animal], too.|my [animal] can come too.|I see it too.|
go now!|now I see it.|now we go.|come now!|now the [animal].|
what is it?|what is in my [inside]?|what a [animal]!|what can you see?|
where is my [thing]?|where are you?|where is the [animal]?|
do you see the [animal]?|do it!|do you like [food]?|I do!|do we go?|
get in!|get my [thing]!|get up!|get the [thing].|I get a [thing].|
out, [animal]!|go out!|the [animal] is out.|look out!|come out!|
off we go!|off, [animal]!|off to the [place].|the [animal] is off.|
I want my [thing].|you want a [food].|we want to go.|I want [food].|
a [animal] or a [animal]?|my [thing] or my [thing]?|yes or no?|in or out?|you or me?|
see it!|I see it.|look at it!|it can go.`;

type Chance = () => number;

interface Frame {
  readonly parts: readonly { readonly text: string; readonly isNoun: boolean; readonly hasComma: boolean }[];
  readonly words: ReadonlySet<string>;
  readonly mark: BookSentence['mark'];
  readonly nouns: number;
}

const FRAMES: readonly Frame[] = SENTENCES.split('|')
  .map((text) => text.trim())
  .filter(Boolean)
  .map((text) => {
    const parts = text
      .slice(0, -1)
      .split(' ')
      .map((part) => {
        const hasComma = part.endsWith(',');
        const bare = hasComma ? part.slice(0, -1) : part;
        const isNoun = bare.startsWith('[');
        return { text: isNoun ? bare.slice(1, -1) : bare, isNoun, hasComma };
      });
    return {
      parts,
      words: new Set(parts.filter(({ isNoun }) => !isNoun).map(({ text: word }) => word.toLowerCase())),
      mark: text.at(-1) as BookSentence['mark'],
      nouns: parts.filter(({ isNoun }) => isNoun).length,
    };
  });

/** Small words that our sentences can bring, in alphabetical order. */
export const BOOK_WORDS: readonly string[] = [...new Set(FRAMES.flatMap(({ words }) => [...words]))].sort();

/** Pages of a folded sheet behind its cover. */
const INNER_PAGES = 7;
/** Those of them that may each bring a new word. */
export const NEW_PAGES = 5;
/** Sentences on a page at most. */
const MOST_SENTENCES = 3;

const BY_WORD = new Map(PICTURE_WORDS.map((entry) => [entry.word, entry]));

/**
 * The seven inner pages of a booklet: each word in turn on a page of its own with sentences of only the known words, those before it
 * and itself, nouns as pictures; then pages on which all of them are read once more. `known` are words that are read already.
 */
export function littleBook(
  words: readonly string[],
  { known, seed }: { known: readonly string[]; seed: number },
): Outcome<readonly BookPage[], LittleBookProblem> {
  if (words.length === 0 || words.length > NEW_PAGES) return err({ code: 'count', most: NEW_PAGES });
  const chance = seededChance(seed);
  const readable = new Set(known.map((word) => word.toLowerCase()));
  const used = new Map<Frame, number>();
  const pages: BookPage[] = [];
  for (const word of words) {
    const fresh = word.toLowerCase();
    const before = new Set(readable);
    readable.add(fresh);
    const frames = framesFor(readable).filter((frame) => frame.words.has(fresh));
    if (frames.length === 0) return err(problemOf(word, before));
    const first = leastUsed(frames, used, chance);
    // What was met earlier in this book is read again beside it.
    const owed = words.filter((other) => before.has(other.toLowerCase()) && !first.words.has(other.toLowerCase()));
    const more = coverWith(owed, framesFor(readable), { used, chance, most: MOST_SENTENCES - 1 });
    pages.push({ newWord: word, sentences: [first, ...more].map((frame) => filled(frame, chance)) });
  }
  const rest = INNER_PAGES - pages.length;
  let owed: readonly string[] = words;
  for (let page = 0; page < rest; page++) {
    const frames = framesFor(readable);
    if (owed.length === 0) owed = words;
    const chosen = coverWith(owed, frames, { used, chance, most: MOST_SENTENCES });
    const read = new Set(chosen.flatMap((frame) => [...frame.words]));
    owed = owed.filter((word) => !read.has(word.toLowerCase()));
    pages.push({ newWord: null, sentences: chosen.map((frame) => filled(frame, chance)) });
  }
  return ok(pages);
}

/** Sentences of which every word can be read. */
function framesFor(readable: ReadonlySet<string>): Frame[] {
  return FRAMES.filter(({ words }) => [...words].every((word) => readable.has(word)));
}

/** One of those used least so far, the longer ones first. */
function leastUsed(frames: readonly Frame[], used: Map<Frame, number>, chance: Chance): Frame {
  const mixed = [...frames];
  shuffle(mixed, chance);
  const rank = (frame: Frame) =>
    (used.get(frame) ?? 0) * 10 - Math.min(3, frame.words.size) - (frame.nouns > 0 ? 1 : 0);
  const best = mixed.reduce((least, frame) => (rank(frame) < rank(least) ? frame : least));
  used.set(best, (used.get(best) ?? 0) + 1);
  return best;
}

/** Sentences in which all these words are read, each time the one that brings most of those that lack; so many at most. */
function coverWith(
  words: readonly string[],
  frames: readonly Frame[],
  { used, chance, most }: { used: Map<Frame, number>; chance: Chance; most: number },
): Frame[] {
  const chosen: Frame[] = [];
  let owed = words.map((word) => word.toLowerCase());
  while (owed.length > 0 && chosen.length < most) {
    const gain = (frame: Frame) => owed.filter((word) => frame.words.has(word)).length;
    const free = frames.filter((frame) => !chosen.includes(frame));
    const largest = Math.max(0, ...free.map(gain));
    if (largest === 0) break;
    const next = leastUsed(
      free.filter((frame) => gain(frame) === largest),
      used,
      chance,
    );
    chosen.push(next);
    owed = owed.filter((word) => !next.words.has(word));
  }
  return chosen;
}

/** A sentence with a noun for each place, none twice. */
function filled({ parts, mark }: Frame, chance: Chance): BookSentence {
  const taken = new Set<string>();
  const pieces = parts.map(({ text, isNoun, hasComma }): BookPiece => {
    if (!isNoun) return { word: text, hasComma };
    const nouns = NOUNS[text as Noun]!.split(' ').filter((noun) => !taken.has(noun) && BY_WORD.has(noun));
    shuffle(nouns, chance);
    taken.add(nouns[0]!);
    return { picture: BY_WORD.get(nouns[0]!)!, hasComma };
  });
  return { pieces: capitalised(pieces), mark };
}

const capitalised = (pieces: readonly BookPiece[]): BookPiece[] =>
  pieces.map((piece, index) =>
    index === 0 && 'word' in piece ? { ...piece, word: piece.word[0]!.toUpperCase() + piece.word.slice(1) } : piece,
  );

/** What the easiest sentence with a word would need besides. */
function problemOf(word: string, readable: ReadonlySet<string>): LittleBookProblem {
  const lacking = FRAMES.filter(({ words }) => words.has(word.toLowerCase()))
    .map(({ words }) => [...words].filter((other) => other !== word.toLowerCase() && !readable.has(other)))
    .sort((one, other) => one.length - other.length);
  return lacking[0] === undefined ? { code: 'no-sentence', word } : { code: 'alone', word, needs: lacking[0] };
}
