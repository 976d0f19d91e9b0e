/** How long a sound lasts: it can be held (mmm), or it is quick (t). */
type Length = 'held' | 'quick';
/** What one feels of a sound: at the lips, at the tongue, at the throat. */
interface MouthFeel {
  readonly lips: 'closed' | 'open' | 'round' | 'wide' | 'teeth' | 'pop';
  readonly tongue: 'rest' | 'tip' | 'near' | 'between' | 'back' | 'low' | 'curled';
  readonly voice: 'on' | 'off';
}

/** A letter, or letters that speak as one, as it is met for the first time. */
export interface SoundUnit extends MouthFeel {
  readonly grapheme: string;
  /** How an adult writes its sound; nobody says the name of the letter. */
  readonly spoken: string;
  readonly length: Length;
  /** A word for it: what is found at home, touched or drawn. Our own choice, none of the commonest. */
  readonly word: string;
  /** Some letters end words and begin none. */
  readonly place: 'start' | 'end';
  /** A word in which the same letters have another sound, for later. */
  readonly also?: string | undefined;
}

/** grapheme, as it is spoken, length, lips, tongue, voice, word, and a word in which it sounds otherwise. */
const TABLE = `
a   a   held  open   low     on  avocado   acorn
b   b   quick pop    rest    on  bucket    -
c   c   quick open   back    off comb      city
d   d   quick open   tip     on  door      -
e   e   held  wide   low     on  elbow     me
f   fff held  teeth  rest    off feather   -
g   g   quick open   back    on  garlic    giraffe
h   h   quick open   rest    off hammer    -
i   i   held  wide   rest    on  invitation ice
j   j   quick round  tip     on  jigsaw    -
k   k   quick open   back    off key       -
l   lll held  open   tip     on  lemon     -
m   mmm held  closed rest    on  mirror    -
n   nnn held  open   tip     on  newspaper -
o   o   held  round  low     on  olive     go
p   p   quick pop    rest    off potato    -
qu  kw  quick round  back    off quilt     -
r   rrr held  round  curled  on  ribbon    -
s   sss held  wide   near    off soap      nose
t   t   quick open   tip     off tomato    -
u   u   held  open   low     on  underpants music
v   vvv held  teeth  rest    on  vest      -
w   w   quick round  rest    on  window    -
x   ks  quick open   back    off toolbox   -
y   y   quick wide   near    on  yogurt    happy
z   zzz held  wide   near    on  zigzag    -
ck  k   quick open   back    off brick     -
ll  lll held  open   tip     on  bell      -
ss  sss held  wide   near    off dress     -
ff  fff held  teeth  rest    off cuff      -
zz  zzz held  wide   near    on  fizz      -
sh  shh held  round  near    off shirt     -
ch  ch  quick round  tip     off chocolate chef
th  th  held  open   between off thread    this
ng  ng  held  open   back    on  string    -
nk  nk  quick open   back    off drink     -
`;

/** Letters and pairs that begin no word. */
const ENDS_ONLY = new Set(['x', 'ck', 'll', 'ss', 'ff', 'zz', 'ng', 'nk']);

/** Every letter and pair that is taught early, in the order of the alphabet, pairs last. */
export const SOUND_UNITS: readonly SoundUnit[] = TABLE.trim()
  .split('\n')
  .map((row) => {
    const [grapheme, spoken, length, lips, tongue, voice, word, also] = row.trim().split(/\s+/) as string[];
    return {
      grapheme: grapheme!,
      spoken: spoken!,
      word: word!,
      length: length as Length,
      ...({ lips, tongue, voice } as MouthFeel),
      place: ENDS_ONLY.has(grapheme!) ? 'end' : 'start',
      also: also === '-' ? undefined : also,
    };
  });

/** A letter or pair by how it is written in small letters. */
export const SOUND_UNIT: ReadonlyMap<string, SoundUnit> = new Map(SOUND_UNITS.map((unit) => [unit.grapheme, unit]));
