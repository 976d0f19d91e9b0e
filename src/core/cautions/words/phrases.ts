/** Forms of one place of a phrase; null stands for up to four words of any kind. */
export type Slot = ReadonlySet<string> | null;

const VOWELS = 'aeiou';

/** A word as words are compared: small letters without accents and apostrophes. */
export function plainWord(word: string): string {
  return word
    .normalize('NFD')
    .replace(/[\p{M}'’]/gu, '')
    .toLowerCase();
}

/** The places of a phrase. A word stands for itself and its plural, `word*` for all forms of a verb, `word!` for itself alone, `one/other` for either. */
export function slotsOf(phrase: string): Slot[] {
  return phrase
    .trim()
    .split(/\s+/)
    .map((place) => (place === '…' ? null : new Set(place.split('/').flatMap(formsOf))));
}

/** The phrases of an entry, which stand with semicolons between. */
export function phrasesOf(text: string): string[] {
  return text
    .split(';')
    .map((phrase) => phrase.trim().replace(/\s+/g, ' '))
    .filter((phrase) => phrase !== '');
}

/** A word with its plural and, where it looks like one, its singular. */
export function formsOfNoun(word: string): string[] {
  const singular = word.endsWith('ies') ? `${word.slice(0, -3)}y` : word.replace(/(?<=[sxz]|ch|sh)es$|(?<=[^s])s$/, '');
  return [...new Set([word, pluralOf(word), singular, pluralOf(singular)])];
}

function formsOf(written: string): string[] {
  const word = plainWord(written.replace(/[*!]$/, ''));
  if (written.endsWith('!')) return [word];
  return written.endsWith('*') ? verbForms(word) : [word, pluralOf(word)];
}

function pluralOf(word: string): string {
  if (/[^aeiou]y$/.test(word)) return `${word.slice(0, -1)}ies`;
  if (/(fe|[^f]f)$/.test(word) && /(kni|lea|loa|shel|wol|hal|cal|sel|li|wi|thie)fe?$/.test(word))
    return `${word.replace(/fe?$/, '')}ves`;
  return /(s|x|z|ch|sh)$/.test(word) ? `${word}es` : `${word}s`;
}

function verbForms(word: string): string[] {
  const last = word.at(-1)!;
  const isDoubled = /[^aeiou][aeiou][bdgklmnprt]$/.test(word) && !/(en|er|on|it)$/.test(word.slice(1));
  const stem = isDoubled ? word + last : last === 'e' && !VOWELS.includes(word.at(-2)!) ? word.slice(0, -1) : word;
  const past = /[^aeiou]y$/.test(word) ? `${word.slice(0, -1)}ied` : last === 'e' ? `${word}d` : `${stem}ed`;
  return [word, pluralOf(word), `${stem}ing`, `${word}ing`, past, ...(IRREGULAR[word] ?? [])];
}

/** Forms that no rule gives, of the verbs on the lists. */
const IRREGULAR: Readonly<Record<string, readonly string[]>> = {
  run: ['ran', 'running'],
  eat: ['ate', 'eaten'],
  catch: ['caught'],
  hold: ['held'],
  feed: ['fed'],
  swim: ['swam', 'swum', 'swimming'],
  stand: ['stood'],
  hang: ['hung'],
  hide: ['hid', 'hidden', 'hiding'],
  throw: ['threw', 'thrown'],
  drink: ['drank', 'drunk'],
  take: ['took', 'taken'],
  cut: ['cut', 'cutting'],
  light: ['lit', 'lighted'],
  strike: ['struck', 'striking'],
  blow: ['blew', 'blown'],
  ride: ['rode', 'ridden', 'riding'],
  swing: ['swung'],
  shut: ['shutting'],
  draw: ['drew', 'drawn'],
  make: ['made', 'making'],
  dig: ['dug', 'digging'],
  spin: ['spun', 'spinning'],
  tie: ['tying'],
  dye: ['dyeing'],
  lean: ['leant'],
  leap: ['leapt'],
  burn: ['burnt'],
  go: ['went', 'goes', 'gone'],
  fry: ['frying'],
  plug: ['plugged', 'plugging'],
  chop: ['chopped', 'chopping'],
  slip: ['slipped', 'slipping'],
  hop: ['hopped', 'hopping'],
  pet: ['petted', 'petting'],
  wade: ['wading'],
  skate: ['skating'],
  whittle: ['whittling'],
};
