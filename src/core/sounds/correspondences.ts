/** A grapheme and a sound it can stand for, with how uncommon that is. */
export interface Correspondence {
  readonly grapheme: string;
  /** One to three sounds; none where the letters are silent. */
  readonly phones: readonly string[];
  /** 1 is what is taught first; 4 and more is irregular. */
  readonly cost: number;
  /** Where in the word it may stand. */
  readonly at?: 'start' | 'end' | undefined;
}

/** From this cost on a word is tricky in that place. */
export const IRREGULAR = 4;

/**
 * What English letters stand for, from our own reading of early-reading words: `grapheme: sounds cost, …`, the first being the
 * one that is taught first. `^` only at the start of a word, `$` only at its end; `_` stands for the consonant within a split
 * vowel. Sounds that are joined by `+` belong to one grapheme; `-` is silence.
 */
const TABLE = `
b: B 1
bb: B 1
bt: T 5
bu: B 4
c: K 1, S 2, SH 5, CH 5
cc: K 1, K+S 2, CH 5
ce$: S 2
che$: SH 3
ch: CH 1, K 3, SH 4
ci: SH 4
ck: K 1
cks: K+S 5
cq: K 3
d: D 1, JH 4, T 4
dd: D 1
dge: JH 1
dg: JH 3
dj: JH 3
ed$: D 1, T 1
f: F 1, V 5
ff: F 1
ffe$: F 2
g: G 1, JH 2, ZH 5
gg: G 1, JH 4
ge$: JH 2, ZH 4
gh: G 3, F 4, - 3
gn: N 3
gu: G 3, G+W 3
gue$: G 3
ngue$: NG 3
h: HH 1, - 5
j: JH 1, Y 5, HH 5
k: K 1
kk: K 1
kh: K 3
kn^: N 1
kn: N 4
l: L 1, - 5
ll: L 1, Y 5
le$: AH+L 1
lk: K 4
m: M 1, AH+M 4
mm: M 1
mb: M 1
me$: M 5
mn: M 4
n: N 1, NG 1
nn: N 1
ne$: N 5
ng: NG 1
p: P 1, - 5
pp: P 1
ph: F 1
pb: B 4
ps^: S 4
qu: K+W 1, K 4
que$: K 3
q: K 4
r: R 1
rr: R 1
rh: R 3
re$: ER 3, R 3
s: S 1, Z 2, ZH 4, SH 5
ss: S 1, Z 4, SH 4
se$: S 1, Z 2
sh: SH 1
sc: S 3, SH 4
sce$: S 2
sci: SH 4
si: ZH 4, SH 4
ssi: SH 4
st: S 4
sw: S 5
t: T 1, CH 3, SH 4
tt: T 1
tte$: T 2
te$: T 5
tch: CH 1
th: TH 1, DH 1, T 5
the$: DH 2
ti: SH 3, CH 4, ZH 4
tw: T 5
v: V 1
vv: V 1
ve$: V 1
w: W 1
wh: W 1, HH 4, HH+W 1
wr^: R 1
xc: K+S 3
x: K+S 1, G+Z 2, Z 4, K+SH 4, G+ZH 5
xe$: K+S 2
y^: Y 1
y: Y 2, IY 1, AY 1, IH 2, AH 4
z: Z 1, S 4, T+S 4
zz: Z 1, T+S 4
ze$: Z 1
a: AE 1, EY 2, AA 3, AO 3, AH 2, EH 4, IH 3, OH 3, ER 5
a_e: EY 1, AE 5, AA 4, AH 4, IH 3
aa: AA 3
ae: IY 4, EY 4, EH 5
ah: AA 3, AH 4
ai: EY 1, EH 4, AH 4, IH 4, AE 5
aigh: EY 3
air: EH+R 1
al: AO 2, AE 4, AA 4
ar: AA+R 1, AO+R 2, EH+R 3, ER 3, AH+R 4, AE+R 5
are$: EH+R 1, AA+R 3
au: AO 1, AE 4, OH 3, AW 4, EY 5, OW 4, AA 4
augh: AO 2, AE 5
aur: AO+R 2
aw: AO 1, AA 2
ay: EY 1, EH 5, IY 4
ayer: EH+R 4
ayor: EH+R 5
e: EH 1, IY 2, IH 2, AH 2, EY 4, AE 5, AA 5, - 5
e_e: IY 1, EH 4, EY 4
ea: IY 1, EH 2, EY 4, IH 4
ear: IH+R 1, EH+R 2, ER 3, AA+R 4
eau: OW 4, Y+UW 5
ee: IY 1, IH 4, EY 5
eer: IH+R 1
ei: IY 3, EY 3, AY 4, IH 4, EH 4
eigh: EY 2, AY 4
eir: EH+R 3
eo: IY 4, EH 4
er: ER 1, EH+R 3, IH+R 3, AA+R 5
ere$: IH+R 2, EH+R 2, ER 4
eu: UW 3, Y+UW 3
eur: Y+UH+R 3
ew: UW 1, Y+UW 1, OW 4
ey: IY 2, EY 2
eye: AY 4
i: IH 1, AY 2, IY 3, AH 3, Y 3, - 5
i_e: AY 1, IY 3, IH 4
ia: AH 4, IH 4
ie: AY 1, IY 2, EH 4, IH 4
ier$: ER 4
iou: AH 4
iew: Y+UW 4
igh: AY 1
io: AH 4
ir: ER 1, IH+R 3
ire$: AY+ER 2, AY+R 2
is: AY 5
o: OH 1, OW 2, AH 2, UW 4, UH 4, AO 3, IH 4, W+AH 5, - 5
o_e: OW 1, AH 4, UW 4, OH 4, W+AH 5
oa: OW 1, AO 4
oar: AO+R 2, ER 4
oe: OW 2, UW 4, AH 5, IY 4
oi: OY 1
oir: W+AY+ER 5
oo: UW 1, UH 1, AH 4, OW 5
oor: AO+R 2, UH+R 2
or: AO+R 1, ER 2, AA+R 4
ore$: AO+R 1
ou: AW 1, UW 2, AH 3, UH 4, OW 3, AO 5, OH 4
ough: OW 4, AO 4, UW 4, AW 4, AH+F 4, AO+F 4, OH+F 4
oul: UH 4
our: AO+R 2, AW+ER 2, AW+R 1, ER 3, UH+R 3
ow: AW 1, OW 1, OH 5
oy: OY 1
u: AH 1, UH 2, UW 2, Y+UW 2, IH 5, W 3, EH 5, Y+AH 3, AH+W 4
u_e: UW 1, Y+UW 1, IH 5
ue: UW 1, Y+UW 1
ui: UW 2, IH 4, AH 4
ur: ER 1, UH+R 3, Y+ER 3, Y+UH+R 3
ure$: Y+UH+R 2, UH+R 2, ER 2, Y+ER 2
uy: AY 4
uoy: UW+IY 4, OY 4
y_e: AY 2
ye: AY 4
yr: ER 4
`;

const read = (line: string): Correspondence[] => {
  const [, grapheme, place, rest] = /^([a-z_]+)([$^]?): (.+)$/.exec(line)!;
  return rest!.split(', ').map((choice) => {
    const [phones, cost] = choice.split(' ') as [string, string];
    return {
      grapheme: grapheme!,
      phones: phones === '-' ? [] : phones.split('+'),
      cost: Number(cost),
      at: place === '^' ? 'start' : place === '$' ? 'end' : undefined,
    };
  });
};

/** Every correspondence there is. */
export const CORRESPONDENCES: readonly Correspondence[] = TABLE.trim().split('\n').flatMap(read);

/** Graphemes regular enough to be guessed in a word that nobody knows. */
export const GUESSED: ReadonlySet<string> = new Set(
  CORRESPONDENCES.filter(({ cost }) => cost <= 2).map(({ grapheme }) => grapheme),
);

/** The sound that is taught first for each grapheme, as `segment` gives it: two sounds with a blank between. */
export const FIRST_SOUNDS: ReadonlyMap<string, string> = new Map(
  [...CORRESPONDENCES]
    .reverse()
    .map(({ grapheme, phones }) => [grapheme, phones.join(' ').replace('OH', 'AA')] as const),
);
