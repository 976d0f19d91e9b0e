/** A word that dictionaries lack or say otherwise: its sounds in both accents, and its pieces where no rule divides it. */
export interface Override {
  readonly word: string;
  /** As spoken in North America; the only one where both are alike. */
  readonly us: string;
  /** As spoken in southern Britain, written with r where it is spelled; the accent's own changes come after. */
  readonly gb?: string | undefined;
  /** Another word that is spelled alike, as it is said. */
  readonly other?: string | undefined;
  /** Pieces with their sounds, where the rules would divide it otherwise: `g:JH i:AH r:R a:AE ffe:F`. */
  readonly pieces?: string | undefined;
}

/**
 * Readings pinned by hand: words that are spelled alike and said in two ways get the one that a child meets as a picture or in a
 * first book; British words that the dictionary lacks; and few words that no rule divides. `word = us / gb + another word spelled alike ; pieces`.
 */
const TABLE = `
baa = B AA1
wind = W IH1 N D + W AY1 N D
live = L IH1 V + L AY1 V
lead = L IY1 D + L EH1 D
bow = B OW1 + B AW1
tear = T IH1 R + T EH1 R
record = R EH1 K ER0 D + R IH0 K AO1 R D
dove = D AH1 V + D OW1 V
present = P R EH1 Z AH0 N T + P R IH0 Z EH1 N T
row = R OW1 + R AW1
sow = S OW1 + S AW1
read = R IY1 D + R EH1 D
close = K L OW1 S + K L OW1 Z
use = Y UW1 Z + Y UW1 S
house = HH AW1 S
bass = B EY1 S + B AE1 S
minute = M IH1 N AH0 T + M AY0 N UW1 T
wound = W UW1 N D + W AW1 N D
object = AA1 B JH EH0 K T + AH0 B JH EH1 K T
content = K AA1 N T EH0 N T + K AH0 N T EH1 N T
the = DH AH0
a = AH0
an = AE1 N
and = AE1 N D
of = AH1 V
to = T UW1
for = F AO1 R
from = F R AH1 M
was = W AA1 Z
what = W AH1 T / W AA1 T
because = B IH0 K AH1 Z / B IH0 K AO1 Z ; b:B e:IH c:K au:OH se:Z
been = B IH1 N / B IY1 N
again = AH0 G EH1 N
says = S EH1 Z
one = W AH1 N
once = W AH1 N S
uh = AH1
eh = EH1
orange = AO1 R AH0 N JH ; o:OH r:R a:AH n:N ge:JH
forest = F AO1 R AH0 S T ; f:F o:OH r:R e:AH s:S t:T
giraffe = JH ER0 AE1 F / JH AH0 R AA1 F ; g:JH i:AH r:R a:AE ffe:F
muscle = M AH1 S AH0 L ; m:M u:AH sc:S le:AH+L
vase = V EY1 S / V AA1 Z
tomato = T AH0 M EY1 T OW2 / T AH0 M AA1 T OW2
zebra = Z IY1 B R AH0 / Z EH1 B R AH0
yoghurt = Y OW1 G ER0 T / Y AA1 G ER0 T ; y:Y o:OW gh:G ur:ER t:T
herb = ER1 B / HH ER1 B
pasta = P AA1 S T AH0 / P AE1 S T AH0
scone = S K OW1 N / S K AA1 N
raspberry = R AE1 Z B EH2 R IY0 / R AA1 Z B ER0 IY0
clerk = K L ER1 K / K L AA1 R K
squirrel = S K W ER1 AH0 L / S K W IH1 R AH0 L
syrup = S IH1 R AH0 P
figure = F IH1 G Y ER0 / F IH1 G ER0
buoy = B UW1 IY0 / B OY1
envelope = EH1 N V AH0 L OW2 P
garage = G ER0 AA1 ZH / G AE1 R AA2 ZH
leisure = L IY1 ZH ER0 / L EH1 ZH ER0
route = R UW1 T
gone = G AO1 N
shone = SH OW1 N / SH AA1 N
aunt = AE1 N T / AA1 N T
half = HH AE1 F / HH AA1 F
calf = K AE1 F / K AA1 F
laugh = L AE1 F / L AA1 F
banana = B AH0 N AE1 N AH0 / B AH0 N AA1 N AH0
nappy = N AE1 P IY0
pyjamas = P AH0 JH AA1 M AH0 Z
pram = P R AE1 M
duvet = D UW0 V EY1 / D UW1 V EY0 ; d:D u:UW v:V et:EY
dustpan = D AH1 S T P AE2 N
courgette = K UH0 R ZH EH1 T / K AO0 R ZH EH1 T
toadstool = T OW1 D S T UW2 L
clothesline = K L OW1 Z L AY2 N ; c:K l:L o_e:OW th:- s:Z l:L i_e:AY n:N
conker = K AA1 NG K ER0
ladybird = L EY1 D IY0 B ER2 D
hedgehog = HH EH1 JH HH AO2 G
wellies = W EH1 L IY0 Z
welly = W EH1 L IY0
bib = B IH1 B
cot = K AA1 T
lorry = L AO1 R IY0 ; l:L o:OH rr:R y:IY
pushchair = P UH1 SH CH EH2 R
teatowel = T IY1 T AW2 AH0 L
flannel = F L AE1 N AH0 L
cardigan = K AA1 R D AH0 G AH0 N
plaster = P L AE1 S T ER0 / P L AA1 S T ER0
rolling = R OW1 L IH0 NG
jug = JH AH1 G
mitten = M IH1 T AH0 N
snowman = S N OW1 M AE2 N
sandpit = S AE1 N D P IH2 T
seesaw = S IY1 S AO2
rucksack = R AH1 K S AE2 K
satsuma = S AE0 T S UW1 M AH0
beetroot = B IY1 T R UW2 T
crumpet = K R AH1 M P AH0 T
toothbrush = T UW1 TH B R AH2 SH
eggcup = EH1 G K AH2 P
teapot = T IY1 P AA2 T
teaspoon = T IY1 S P UW2 N
bobbin = B AA1 B AH0 N
colander = K AA1 L AH0 N D ER0
saucepan = S AO1 S P AE2 N
whisk = W IH1 S K
ladle = L EY1 D AH0 L
scissors = S IH1 Z ER0 Z ; sc:S i:IH ss:Z or:ER s:Z
chest = CH EH1 S T
eye = AY1
ear = IH1 R
water = W AO1 T ER0
people = P IY1 P AH0 L
sure = SH UH1 R
poor = P UH1 R
sausage = S AO1 S IH0 JH ; s:S au:OH s:S a_e:IH g:JH
cauliflower = K AA1 L AH0 F L AW2 ER0
acorn = EY1 K AO2 R N
dinosaur = D AY1 N AH0 S AO2 R
penguin = P EH1 NG G W AH0 N
caterpillar = K AE1 T AH0 P IH2 L ER0 ; c:K a:AE t:T er:AH p:P i:IH ll:L ar:ER
umbrella = AH0 M B R EH1 L AH0
pigeon = P IH1 JH AH0 N ; p:P i:IH ge:JH o:AH n:N
ocean = OW1 SH AH0 N
soldier = S OW1 L JH ER0
iron = AY1 ER0 N ; i:AY ron:ER+N
yolk = Y OW1 K
queue = K Y UW1 ; qu:K eue:Y+UW
choir = K W AY1 ER0
fire = F AY1 R
wire = W AY1 R
tyre = T AY1 R
tire = T AY1 R
hour = AW1 R
our = AW1 R
every = EH1 V R IY0 ; e:EH v:V e:- r:R y:IY
can = K AE1 N
croissant = K W AA0 S AA1 N T ; c:K r:- oi:W+AA ss:S a:OH n:N t:T
yacht = Y AA1 T ; y:Y a:OH cht:T
wellington = W EH1 L IH0 NG T AH0 N
`;

const LINE = /^([a-z]+) = ([A-Z0-2 ]+?)(?: \/ ([A-Z0-2 ]+?))?(?: \+ ([A-Z0-2 ]+?))?(?: ; (.+))?$/;

/** Every pinned reading. */
export const OVERRIDES: readonly Override[] = TABLE.trim()
  .split('\n')
  .map((line) => {
    const [, word, us, gb, other, pieces] = LINE.exec(line)!;
    return { word: word!, us: us!, gb, other, pieces };
  });

/** Pinned readings by their word. */
export const OVERRIDE_BY_WORD: ReadonlyMap<string, Override> = new Map(OVERRIDES.map((entry) => [entry.word, entry]));
