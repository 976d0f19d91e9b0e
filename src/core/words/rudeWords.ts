/**
 * Words that no sheet of a programme may show, turned by thirteen letters so that the source does not spell them: rude ones, and
 * those about harm that nobody puts before a small child.
 */
const TURNED =
  'nany nahf nefr nefrf nff nffrf onfgneq onfgneqf orre ovgpu ovgpurf oybbql obyybpx obyybpxf obzo obzof obbo ' +
  'obbof obbmr oernfg oernfgf ohttre pvtnerggr pyvg pbpnvar pbba pbecfr pbecfrf penc penccl phz phzf phag phagf ' +
  'qntb qnza qnzarq qrivy qvpx qvpxf qvyqb qeht qehtf qhzo qlxr snt snttbg sntf sneg snegf shpx shpxrq shpxvat ' +
  'shpxf tbbx tha thaf urebva ubzb ubbxre vqvbg xvxr yrfob zbeba zheqre anxrq anmv arteb avttn avttre ahqr ahqrf ' +
  'betl cnxv cravf cravfrf cvff cvffrq cbbs cbea cevpx cevpxf chor chffl dhrre encr encrq encrf encvfg ergneq ' +
  'fngna fphz frk frkl funt fuvg fuvgf fuvggl fynt fynir fynirf fyhg fyhgf fcnfgvp fcvp fghcvq fhvpvqr gubat gvg ' +
  'gvgf gvggl gbonppb gbffre gheq gheqf gjng htyl intvan ibqxn ibzvg jnax jnaxre juvfxl juber juberf jbt jbc ';
/** Words with an innocent reading that still must not come about by accident. */
const TURNED_DOUBTFUL = 'oen ohz ohzf ohgg pbpx pbpxf sng tva unat ungr uryy xvyy xabo cbb ehz fbq fhpx jrr ';

const LETTER_A = 97;

function turn(text: string): string {
  return text.replace(/[a-z]/g, (letter) =>
    String.fromCharCode(LETTER_A + ((letter.charCodeAt(0) - LETTER_A + 13) % 26)),
  );
}

const read = (turned: string) => new Set(turn(turned).trim().split(/\s+/));
const RUDE = read(TURNED);
const BY_ACCIDENT = [...RUDE, ...read(TURNED_DOUBTFUL)];
const LONGEST = Math.max(...BY_ACCIDENT.map((word) => word.length));

/** True for a word that is not to be proposed. Small letters. */
export function isRude(word: string): boolean {
  return RUDE.has(word) || (word.endsWith('s') && RUDE.has(word.slice(0, -1)));
}

/** Where rude words stand in a run of letters: from and to. Small letters; takes time in its length. */
export function rudeSpans(letters: string): [number, number][] {
  const spans: [number, number][] = [];
  for (let at = 0; at < letters.length; at++)
    for (let size = 3; size <= LONGEST && at + size <= letters.length; size++)
      if (ACCIDENTS.has(letters.slice(at, at + size))) spans.push([at, at + size]);
  return spans;
}

const ACCIDENTS = new Set(BY_ACCIDENT);
