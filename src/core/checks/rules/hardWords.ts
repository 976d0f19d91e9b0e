import { listOf, own } from '../../message.ts';
import type { Check } from '../check.ts';
import { wordsOf } from '../saidLines.ts';

/** Long words that everybody says. */
const EASY = new Set(
  'afterwards another anybody anyone anything carefully caterpillar celebration comfortable conversation different dinosaur disappear disappeared elephant especially everybody everyone everything everywhere exactly favourite finally grandfather grandmother helicopter holiday hippopotamus immediately important interesting kangaroo ladybird library lollipop medicine merry-go-round newspaper newspapers nobody november december september october january february ordinary photograph potatoes quietly raspberry refrigerator remember rhinoceros saturday several somebody somebody’s someone something sometimes somewhere strawberry strawberries supermarket television temperature together tomato tomatoes tortoise umbrella underneath usually vegetable vegetables washing-line yesterday actually animal animals binoculars crocodile material materials opposite understand gallery alligator watermelon avocado cauliflower'.split(
    ' ',
  ),
);
/** Syllables from which a word is long, and letters. */
const LONG_SYLLABLES = 5;
const LONG_LETTERS = 13;
/** Words of a desk, which nobody says to a child. */
const OF_A_DESK =
  /^(?:utili[sz]e[sd]?|facilitate[sd]?|demonstrate[sd]?|subsequent(?:ly)?|approximately|sufficient(?:ly)?|commence[sd]?|ascertain|adjacent|designate[sd]?|aforementioned|encounter(?:ed)?|implement(?:ed)?|perceive[sd]?|respectively|simultaneous(?:ly)?|terminate[sd]?|acquire[sd]?|endeavou?r|attribute[sd]?|correspond(?:ing|s)?|sequential(?:ly)?|vocabulary|articulate|phoneme[s]?|grapheme[s]?|kinaesthetic|proprioceptive|cognitive|manipulatives?|numerosity|subiti[sz]e|subiti[sz]ing|scaffold(?:ing)?|differentiate|conceptual|comprehension|segmentation)$/;

/** Words that a tired adult stumbles over when reading aloud. */
export const hardWords: Check = ({ segment, said }) =>
  said.flatMap(({ line, text }) => {
    if (line.says) return [];
    const hard = [...new Set(wordsOf(text).filter(isHard))];
    if (hard.length === 0) return [];
    return [
      {
        id: `hard-words:${segment.id}/${line.id}`,
        weight: 'note',
        line: line.id,
        values: { count: hard.length, words: listOf(hard.slice(0, 3).map((word) => own(`“${word}”`))) },
      },
    ];
  });

function isHard(word: string): boolean {
  if (OF_A_DESK.test(word)) return true;
  if (EASY.has(word) || /\d/.test(word)) return false;
  return word.split(/[-’']/).some((piece) => piece.length >= LONG_LETTERS || syllablesAbout(piece) >= LONG_SYLLABLES);
}

/** About how many syllables a word has, by its spelling: for words this long near enough. */
function syllablesAbout(word: string): number {
  const groups = word.replace(/(?<=[^l])e$|es$|(?<=[^td])ed$/, '').match(/[aeiouy]+/g)?.length ?? 0;
  return Math.max(1, groups);
}
