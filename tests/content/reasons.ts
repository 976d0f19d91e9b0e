/**
 * Where a line may hold a number, or name a thing, that no dial and no list stands behind; each with its reason. What
 * is not here fails the content test.
 */

/** Digits and number words outside braces, by the activity's key. */
export const FIXED_NUMBERS: Readonly<Record<string, { readonly words: readonly string[]; readonly why: string }>> = {
  'hunt-for-a-hundred': {
    words: ['ten', 'tens', 'twenty', 'thirty', 'hundred'],
    why: 'the tens said aloud, and the hundred it is about',
  },
  'egg-box-tens': { words: ['ten'], why: 'a box for ten is what it is about' },
  'towers-of-ten': { words: ['ten'], why: 'a tower is ten' },
  'hands-by-five': { words: ['five', 'ten'], why: 'the fives said aloud' },
  'stairs-by-ten': { words: ['ten', 'twenty', 'thirty', 'thirteen', 'tens'], why: 'the tens said aloud' },
  'change-by-hops': { words: ['ten'], why: 'one always pays with ten' },
  'pairs-by-two': { words: ['two', 'three', 'four'], why: 'the row said aloud, loud and soft' },
  'sh-and-ch': { words: ['three'], why: 'a word to listen to' },
};

/** Things of the shelf that a line names though nothing of them is fetched, by the activity's key. */
export const NAMED_ONLY: Readonly<Record<string, { readonly words: readonly string[]; readonly why: string }>> = {
  'buttons-up': { words: ['button'], why: 'what lies there plays a coat’s buttons' },
  'button-a-bear': { words: ['button'], why: 'the buttons of a real garment' },
  'rhyme-basket': { words: ['clock', 'cup', 'sock', 'hat', 'shoe', 'spoon', 'chair'], why: 'words that rhyme or not' },
  'over-under-rhyme': { words: ['chair', 'shoe'], why: 'words that rhyme or not' },
  'goat-soup': { words: ['carrot', 'shoe'], why: 'words that rhyme or not' },
  'robot-errand': { words: ['sock', 'cup', 'hat', 'picture book'], why: 'the words that are taken apart' },
  'parcel-for-sss': { words: ['sock', 'spoon', 'cup'], why: 'the words whose sounds are heard' },
  'match-the-thing': { words: ['cup', 'hat'], why: 'words to read' },
  'letter-delivery': { words: ['cup', 'chair'], why: 'places that letters go to' },
  'what-is-left': { words: ['sock', 'cup', 'hat'], why: 'words that lose a sound' },
  'robot-child': { words: ['sock', 'spoon', 'desk lamp'], why: 'words a child may take apart' },
  'stairs-for-sounds': { words: ['cup'], why: 'a word to take apart' },
  'riddle-post': { words: ['hat'], why: 'a word to put together' },
  'broken-sign': { words: ['cup'], why: 'a word to read' },
  'twins-in-a-word': { words: ['sock'], why: 'a word to read' },
  'ing-at-the-end': { words: ['cup', 'hat'], why: 'words to listen to' },
  'sh-and-ch': { words: ['shoe', 'chair'], why: 'a word to listen to' },
  'slow-snail-words': { words: ['cup'], why: 'a word to listen to' },
  'which-coin': { words: ['coin', 'leaf', 'bunch of keys'], why: 'what the rubbing is about, and what else it shows' },
  'domino-doors': { words: ['chair'], why: 'chairs stand where there are too few doors' },
  'wet-footprints': { words: ['chair'], why: 'a seat' },
  'shadow-portrait': { words: ['chair'], why: 'a rest for the light' },
  'parcel-of-kindness': { words: ['leaf'], why: 'one of many things that may be given' },
  'sound-hunt': { words: ['comb'], why: 'a word to listen to' },
  'post-room': { words: ['shoe'], why: 'one of many things that may be added' },
  'flour-letters': { words: ['pencil'], why: 'what a child may ask for instead' },
  'number-walk': { words: ['clock'], why: 'where numbers hide' },
};
