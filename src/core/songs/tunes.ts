import { readMelodyLine, type MelodyNote } from './melody.ts';

/** A traditional tune, line by line. */
export interface Tune {
  readonly key: string;
  /** As it is usually called. */
  readonly name: string;
  /** Beats of a bar, a quarter note each; 3 stands for two groups of three eighths. */
  readonly barBeats: 2 | 3 | 4;
  /** Notes of each line, such as "C4:1 D4:0.5". */
  readonly lines: readonly string[];
  /** Beats of each line before its first strong one; absent: none. */
  readonly upbeat?: number | undefined;
  /** A verse of our own that fits it. */
  readonly verse: readonly string[];
}

/** Tunes that belong to everybody: handed on for a hundred years and more. Their words here are ours. */
export const TUNES: readonly Tune[] = [
  {
    key: 'frere-jacques',
    name: 'Frère Jacques',
    barBeats: 4,
    lines: [
      'C4:1 D4:1 E4:1 C4:1 C4:1 D4:1 E4:1 C4:1',
      'E4:1 F4:1 G4:2 E4:1 F4:1 G4:2',
      'G4:0.5 A4:0.5 G4:0.5 F4:0.5 E4:1 C4:1 G4:0.5 A4:0.5 G4:0.5 F4:0.5 E4:1 C4:1',
      'C4:1 G3:1 C4:2 C4:1 G3:1 C4:2',
    ],
    verse: [
      'Slowly rolling, slowly rolling',
      'Down the lane, down the lane',
      'Now we meet a puddle, now we meet a puddle',
      'Stop again, stop again',
    ],
  },
  {
    key: 'twinkle',
    name: 'Twinkle, twinkle',
    barBeats: 4,
    lines: [
      'C4:1 C4:1 G4:1 G4:1 A4:1 A4:1 G4:2',
      'F4:1 F4:1 E4:1 E4:1 D4:1 D4:1 C4:2',
      'G4:1 G4:1 F4:1 F4:1 E4:1 E4:1 D4:2',
      'G4:1 G4:1 F4:1 F4:1 E4:1 E4:1 D4:2',
      'C4:1 C4:1 G4:1 G4:1 A4:1 A4:1 G4:2',
      'F4:1 F4:1 E4:1 E4:1 D4:1 D4:1 C4:2',
    ],
    verse: [
      'Someone tall and someone small',
      'Walked along the bedroom wall',
      'When I wave they wave at me',
      'When I hop they hop, you see',
      'Someone tall and someone small',
      'Walked along the bedroom wall',
    ],
  },
  {
    key: 'a-hunting',
    name: 'A-hunting we will go',
    barBeats: 3,
    upbeat: 0.5,
    lines: [
      'D4:0.5 G4:1 G4:0.5 G4:1 A4:0.5 B4:2.5',
      'A4:0.5 B4:1 C5:0.5 B4:1 G4:0.5 A4:2.5',
      'D4:0.5 D5:1 D5:0.5 D5:1 C5:0.5 B4:1 B4:0.5 B4:1',
      'A4:0.5 G4:1 B4:0.5 A4:1 D4:0.5 G4:2.5',
    ],
    verse: [
      'A letter came today',
      'It came a winding way',
      'From hand to hand and hand to hand',
      'And here it is to stay',
    ],
  },
  {
    key: 'mulberry-bush',
    name: 'The mulberry bush',
    barBeats: 3,
    lines: [
      'G4:1 G4:0.5 G4:1 B4:0.5 D5:1 B4:0.5 G4:1.5',
      'A4:1 A4:0.5 A4:1.5 F#4:1 E4:0.5 D4:1.5',
      'G4:1 G4:0.5 G4:1 B4:0.5 D5:1 B4:0.5 G4:1.5',
      'A4:1 D4:0.5 D4:1 E4:0.5 F#4:1.5 G4:1.5',
    ],
    verse: ['Hang the stockings in a row', 'In a row, in a row', 'Hang the stockings in a row', 'On a windy Monday'],
  },
  {
    key: 'au-clair',
    name: 'Au clair de la lune',
    barBeats: 4,
    lines: [
      'C4:1 C4:1 C4:1 D4:1 E4:2 D4:2',
      'C4:1 E4:1 D4:1 D4:1 C4:4',
      'C4:1 C4:1 C4:1 D4:1 E4:2 D4:2',
      'C4:1 E4:1 D4:1 D4:1 C4:4',
    ],
    verse: ['Softly in the evening', 'What is that I hear', 'Is it something creaking', 'Is it far or near'],
  },
  {
    key: 'row-the-boat',
    name: 'Row your boat',
    barBeats: 3,
    lines: [
      'C4:1.5 C4:1.5 C4:1 D4:0.5 E4:1.5',
      'E4:1 D4:0.5 E4:1 F4:0.5 G4:3',
      'C5:0.5 C5:0.5 C5:0.5 G4:0.5 G4:0.5 G4:0.5 E4:0.5 E4:0.5 E4:0.5 C4:0.5 C4:0.5 C4:0.5',
      'G4:1 F4:0.5 E4:1 D4:0.5 C4:3',
    ],
    verse: [
      'Turn, turn, turn the wheel',
      'Up the road and down',
      'Over it, over it, over it, over it',
      'All about the town',
    ],
  },
  {
    key: 'london-bridge',
    name: 'London Bridge',
    barBeats: 4,
    lines: [
      'G4:1.5 A4:0.5 G4:1 F4:1 E4:1 F4:1 G4:2',
      'D4:1 E4:1 F4:2 E4:1 F4:1 G4:2',
      'G4:1.5 A4:0.5 G4:1 F4:1 E4:1 F4:1 G4:2',
      'D4:2 G4:2 E4:1 C4:3',
    ],
    verse: [
      'Build a bridge from side to side',
      'Side to side, side to side',
      'Build a bridge from side to side',
      'Strong and steady',
    ],
  },
  {
    key: 'merrily-we-roll',
    name: 'Merrily we roll along',
    barBeats: 4,
    lines: [
      'E4:1.5 D4:0.5 C4:1 D4:1 E4:1 E4:1 E4:2',
      'D4:1 D4:1 D4:2 E4:1 G4:1 G4:2',
      'E4:1.5 D4:0.5 C4:1 D4:1 E4:1 E4:1 E4:2',
      'D4:1 D4:1 E4:1 D4:1 C4:4',
    ],
    verse: ['Little cloud inside a jar', 'In a jar, in a jar', 'Little cloud inside a jar', 'Rain on me at last'],
  },
  {
    key: 'this-old-man',
    name: 'This old man',
    barBeats: 4,
    lines: [
      'G4:1 E4:1 G4:2 G4:1 E4:1 G4:2',
      'A4:1 G4:1 F4:1 E4:1 D4:1 E4:1 F4:2',
      'E4:0.5 F4:0.5 G4:1 C4:1 C4:1 C4:0.5 D4:0.5 E4:0.5 F4:0.5 G4:2',
      'G4:1 D4:1 D4:1 F4:1 E4:1 D4:1 C4:2',
    ],
    verse: [
      'One old coat, one old coat',
      'Had a pocket for a goat',
      'With a button here and a button there',
      'Nobody was quite aware',
    ],
  },
  {
    key: 'hot-cross-buns',
    name: 'Hot cross buns',
    barBeats: 4,
    lines: [
      'E4:1 D4:1 C4:2',
      'E4:1 D4:1 C4:2',
      'C4:0.5 C4:0.5 C4:0.5 C4:0.5 D4:0.5 D4:0.5 D4:0.5 D4:0.5',
      'E4:1 D4:1 C4:2',
    ],
    verse: ['Socks and vests', 'Socks and vests', 'Bubble, bubble, in the bucket', 'Socks and vests'],
  },
  {
    key: 'pop-goes',
    name: 'Pop goes the weasel',
    barBeats: 3,
    lines: [
      'C4:1 C4:0.5 D4:1 D4:0.5 E4:0.5 G4:0.5 E4:0.5 C4:1.5',
      'C4:1 C4:0.5 D4:1 D4:0.5 E4:1.5 C4:1.5',
      'C4:1 C4:0.5 D4:1 D4:0.5 E4:0.5 G4:0.5 E4:0.5 C4:1.5',
      'A4:1.5 D4:1 F4:0.5 E4:1.5 C4:1.5',
    ],
    verse: [
      'Round and round the parcel, it goes',
      'Who has got the ribbon',
      'Round and round until it will stop',
      'Look, it is hidden',
    ],
  },
  {
    key: 'sur-le-pont',
    name: 'Sur le pont d’Avignon',
    barBeats: 4,
    lines: [
      'C4:1 C4:1 C4:2 D4:1 D4:1 D4:2',
      'E4:1 F4:1 G4:1 C4:1 B3:1 C4:1 D4:1 G3:1',
      'C4:1 C4:1 C4:2 D4:1 D4:1 D4:2',
      'E4:1 F4:1 G4:1 C4:1 D4:1 B3:1 C4:2',
    ],
    verse: [
      'On the bridge, one, two, three',
      'Everybody walks together',
      'On the bridge, one, two, three',
      'Nobody is out of step',
    ],
  },
  {
    key: 'lightly-row',
    name: 'Lightly row',
    barBeats: 4,
    lines: [
      'G4:1 E4:1 E4:2 F4:1 D4:1 D4:2',
      'C4:1 D4:1 E4:1 F4:1 G4:1 G4:1 G4:2',
      'G4:1 E4:1 E4:2 F4:1 D4:1 D4:2',
      'C4:1 E4:1 G4:1 G4:1 C4:4',
    ],
    verse: [
      'Hear the wind, hear the rain',
      'Knocking at the window pane',
      'Hear the tap, hear the train',
      'Sleep until the day',
    ],
  },
  {
    key: 'aunt-rhody',
    name: 'Go tell Aunt Rhody',
    barBeats: 2,
    lines: [
      'E4:1 E4:0.5 D4:0.5 C4:1 C4:1',
      'D4:1 D4:1 F4:0.5 E4:0.5 D4:0.5 C4:0.5',
      'G4:1 G4:0.5 F4:0.5 E4:1 E4:1',
      'D4:0.5 C4:0.5 D4:0.5 E4:0.5 C4:2',
    ],
    verse: ['Sleep, little hedgehog', 'Owls go over the hill', 'Hush, little hedgehog', 'Day is over now'],
  },
  {
    key: 'yankee-doodle',
    name: 'Yankee Doodle',
    barBeats: 4,
    lines: [
      'C4:1 C4:1 D4:1 E4:1 C4:1 E4:1 D4:2',
      'C4:1 C4:1 D4:1 E4:1 C4:2 B3:2',
      'C4:1 C4:1 D4:1 E4:1 F4:1 E4:1 D4:1 C4:1',
      'B3:1 G3:1 A3:1 B3:1 C4:2 C4:2',
    ],
    verse: [
      'Grandma has a pocket full',
      'Buttons by the dozen',
      'One is silver, one is yellow',
      'One is for my cousin',
    ],
  },
  {
    key: 'farmer-in-the-dell',
    name: 'The farmer in the dell',
    barBeats: 3,
    upbeat: 0.5,
    lines: [
      'C4:0.5 F4:1 F4:0.5 F4:1 F4:0.5 F4:2.5',
      'G4:0.5 A4:1 A4:0.5 A4:1 A4:0.5 A4:2.5',
      'A4:0.5 C5:1.5 C5:1 D5:0.5 C5:1 A4:0.5 F4:1',
      'G4:0.5 A4:1 A4:0.5 G4:1 G4:0.5 F4:2.5',
    ],
    verse: ['The ferry has a bell', 'The ferry has a bell', 'It carries a letter, too', 'And rings it very well'],
  },
];

/** A tune by its key; undefined when there is none. */
export function findTune(key: string): Tune | undefined {
  return TUNES.find((tune) => tune.key === key);
}

/** Where strong beats lie in a line: each half of a bar, or each whole beat where most notes are shorter than one. */
function strongEvery({ barBeats }: Tune, notes: readonly MelodyNote[]): number {
  if (barBeats === 3) return 1.5;
  if (barBeats === 2) return 1;
  const short = notes.filter(({ beats }) => beats < 1).length;
  return short * 2 > notes.length ? 1 : 2;
}

/** The beats of each line of a tune: S for a note that falls on a strong beat, w for one that does not. */
export function tuneBeats(tune: Tune): string[] {
  return tune.lines.map((line) => {
    const notes = readMelodyLine(line);
    const every = strongEvery(tune, notes);
    const upbeat = tune.upbeat ?? 0;
    return notes.map(({ at }) => (at >= upbeat && (at - upbeat) % every === 0 ? 'S' : 'w')).join('');
  });
}
