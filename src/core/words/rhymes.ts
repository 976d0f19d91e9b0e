import { byCodeUnit } from '../ordering.ts';
import {
  type Accent,
  isVowel,
  type Phone,
  type Pronunciations,
  readingsInPieces,
  soundsOf,
  type WordPieces,
} from '../sounds/index.ts';

/** Words by what they rhyme with, in one accent. */
export interface Rhymes {
  /** Two or more that rhyme; in the order of the alphabet. */
  readonly families: readonly (readonly string[])[];
  readonly odd: readonly string[];
  /** Words that are said in two ways of which it depends, or whose sounds were only guessed. */
  readonly unsure: readonly string[];
}

/** How a word rhymes: its sounds from the last main-stressed vowel on, and all of them. */
interface Rhyme {
  readonly ending: string;
  readonly whole: string;
}

/**
 * Which words rhyme: from the last stressed vowel on their sounds are equal, and what comes before differs. The same word twice, or
 * two words of the same sound, are no rhyme. No words: nothing.
 */
export function findRhymes(words: readonly string[], known: Pronunciations, accent: Accent): Rhymes {
  const distinct = [...new Set(words)];
  const rhymes = new Map(distinct.map((word) => [word, rhymesOf(word, known, accent)]));
  const firsts = distinct.map((word) => [word, rhymes.get(word)!.ways[0]!] as const);
  const partners = (word: string, { ending, whole }: Rhyme) =>
    firsts.flatMap(([other, way]) => (other !== word && way.ending === ending && way.whole !== whole ? [other] : []));
  const isUnsure = (word: string) => {
    const { ways, isGuessed } = rhymes.get(word)!;
    if (isGuessed) return true;
    return new Set(ways.map((way) => partners(word, way).join(' '))).size > 1;
  };
  const unsure = distinct.filter(isUnsure);
  const families = new Map<string, string[]>();
  const odd: string[] = [];
  for (const [word, way] of firsts) {
    if (unsure.includes(word)) continue;
    const others = partners(word, way).filter((other) => !unsure.includes(other));
    if (others.length === 0) odd.push(word);
    else families.set(way.ending, [...(families.get(way.ending) ?? []), word]);
  }
  return {
    families: [...families.values()].map((family) => family.sort(byCodeUnit)),
    odd,
    unsure,
  };
}

function rhymesOf(word: string, known: Pronunciations, accent: Accent): { ways: Rhyme[]; isGuessed: boolean } {
  const readings = readingsInPieces(word, known, accent);
  const [first] = readings;
  // A made-up word of one syllable sounds as it is spelled; a longer one may be stressed anywhere.
  const isGuessed = first!.source === 'rules' && soundsOf(first!).filter(isVowel).length !== 1;
  return { ways: readings.map((reading) => rhymeOf(reading, accent)), isGuessed };
}

/** Where and how a reading rhymes. Also of a word without a vowel: all of it. */
function rhymeOf(reading: WordPieces, accent: Accent): Rhyme {
  const sounds = soundsOf(reading);
  const vowels = sounds.flatMap((phone, index) => (isVowel(phone) ? [index] : []));
  const stressed = reading.stress.lastIndexOf(1);
  const from = vowels[stressed >= 0 ? stressed : 0] ?? 0;
  const ending = sounds.slice(from).map((phone, index) => (index === 0 ? phone : weak(phone, accent)));
  return { ending: ending.join(' '), whole: sounds.join(' ') };
}

/** Behind the stressed vowel weak ones are told apart no more: rocket and pocket, puppet said in two ways. */
function weak(phone: Phone, accent: Accent): Phone {
  if (phone === 'IH' || phone === 'AH') return 'AH';
  return phone === 'ER' && accent === 'gb' ? 'AH' : phone;
}
