/**
 * How often each letter comes in running English, per thousand letters; as counted in general texts and tabled in many books on
 * ciphers since the nineteenth century, rounded.
 */
const PER_THOUSAND: Readonly<Record<string, number>> = {
  a: 82,
  b: 15,
  c: 28,
  d: 43,
  e: 127,
  f: 22,
  g: 20,
  h: 61,
  i: 70,
  j: 1.5,
  k: 8,
  l: 40,
  m: 24,
  n: 67,
  o: 75,
  p: 19,
  q: 1,
  r: 60,
  s: 63,
  t: 91,
  u: 28,
  v: 10,
  w: 24,
  x: 1.5,
  y: 20,
  z: 0.7,
};
/** Letters on a page that are large enough to cut out: headings and prices of a leaflet. Capitals begin or fill headings only. */
const LARGE_ON_PAGE = { small: 220, capitals: 120 } as const;
/** From so many pages on a letter is called scarce. */
const SCARCE_FROM = 3;

/** What a hunt for letters takes. */
interface LetterSupply {
  /** Pages of a leaflet until each letter may be expected often enough. */
  readonly pages: number;
  /** Letters for which most of those pages are needed, the scarcest first. */
  readonly scarce: readonly string[];
}

/** Pages of a leaflet in which so many of each letter may be expected. Letters a to z; others are left out. No letters: no pages. */
export function letterSupply(
  letters: readonly string[],
  { of, each = 1 }: { of: 'small' | 'capitals'; each?: number },
): LetterSupply {
  const needed = letters
    .map((letter) => letter.toLowerCase())
    .filter((letter) => letter in PER_THOUSAND)
    .map((letter) => ({ letter, pages: Math.ceil((each * 1000) / (PER_THOUSAND[letter]! * LARGE_ON_PAGE[of])) }))
    .sort((one, other) => other.pages - one.pages || (one.letter < other.letter ? -1 : 1));
  return {
    pages: needed[0]?.pages ?? 0,
    scarce: needed.filter(({ pages }) => pages >= SCARCE_FROM).map(({ letter }) => letter),
  };
}
