import { listOf, type Message, type MessageValues, type Say } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import {
  type Drawing,
  framedCard,
  inColumn,
  inRow,
  pictureCard,
  saidAlong,
  strokeWays,
  tracedLetters,
  wordCard,
} from '../../core/page/index.ts';
import { type Accent, letterNames, SOUND_UNIT, SOUND_UNITS, type SoundUnit } from '../../core/sounds/index.ts';
import { firstSoundName, PICTURE_WORD } from '../../core/words/index.ts';
import { NEIGHBOURS } from './neighbours.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  lineWriters,
  type Maker,
  type MakerMaterial,
  refuseList,
  sheetsNeeded,
  usedUp,
} from '../../core/makers/index.ts';

/** What it is written in, and the name that sentences choose by. */
const WAYS: Readonly<Record<string, string>> = {
  'in-the-air': 'air',
  'in-flour': 'flour',
  'with-a-brush-and-water': 'water',
  'with-a-pencil': 'pencil',
};
const LONGEST_SIGN = 120;

/** A letter or a pair on a page: its sound, how the mouth makes it, a thing for it, and how it is written. */
export const maker: Maker = {
  id: 'sound-page',
  place: 440,
  skills: ['letter-sound', 'first-sound'],
  dials: [
    { kind: 'choice', name: 'sound', choices: SOUND_UNITS.map(({ grapheme }) => grapheme), value: 'm' },
    { kind: 'choice', name: 'written', choices: Object.keys(WAYS), value: 'in-the-air' },
    { kind: 'list', name: 'sign', value: '' },
  ],
  make(values, settings, say) {
    const unit = SOUND_UNIT.get(String(values.sound))!;
    const sign = String(values.sign).trim().replace(/\s+/g, ' ');
    if (sign.length > LONGEST_SIGN) return refuseList('sign', 'problem.sign', { most: LONGEST_SIGN });
    const written = WAYS[String(values.written)]!;
    const namesFirst = settings.firstSaid === 'names';
    const capitalFirst = settings.letters === 'capitals';
    const capital = unit.grapheme[0]!.toUpperCase() + unit.grapheme.slice(1);
    const shown = capitalFirst ? capital : unit.grapheme;
    const facts: MessageValues = {
      ...soundFacts(unit, shown, settings.accent ?? 'gb'),
      ...neighbourFacts(unit, settings.accent ?? 'gb'),
      capital: inOwn(capital),
      written,
      sign: inOwn(sign),
    };
    const printable = { title: say('printable', facts), cards: [], sheets: soundSheets(unit, capitalFirst) };
    const { toDo } = lineWriters(say);
    const write = linesAbout(say, facts);
    const trace = [...write('do-show'), toDo(`lay.${written}`, facts), ...write('say-1')];
    return ok({
      facts: [say('fact', facts), ...(unit.also === undefined ? [] : [say('fact.also', facts)])],
      values: facts,
      turns: { count: 6, seconds: 30 },
      picture: inRow([tracedLetters(shown, 60), pictureFor(unit, 44)], 10),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: [
          ...write(
            ...(namesFirst ? (['do-name'] as const) : []),
            'do-1',
            'ask-1',
            'do-3',
            ...(facts.tell ? (['if-near'] as const) : []),
            ...(sign === '' ? [] : (['do-sign'] as const)),
          ),
          ...trace,
          ...write('ask-2', 'notice-1', ...(namesFirst ? [] : (['if-1'] as const))),
        ],
        harder: [...write('do-1'), ...trace, ...write('do-4', 'ask-3')],
      },
      materials: [
        ...waysMaterials(written, say),
        lasting('pencil', 1, [{ item: 'crayon', fit: 0.9, why: say('swap.crayon') }]),
        lasting('hand-mirror', 1, [{ item: 'saucepan-lid', fit: 0.7, why: say('swap.lid') }]),
        usedUp('paper', sheetsNeeded(printable)),
      ],
      actions: [],
      printable,
      key: [say('key', facts), say('key.rhythm', facts)],
    });
  },
};

/** What there is to say of a sound and the letters it is shown with. */
function soundFacts(unit: SoundUnit, shown: string, accent: Accent): MessageValues {
  return {
    letters: inOwn(shown),
    small: inOwn(unit.grapheme),
    count: unit.grapheme.length,
    sound: inOwn(unit.spoken),
    length: unit.length,
    place: unit.place,
    word: inOwn(unit.word),
    mouth: { key: `mouths/made.${firstSoundName(unit.grapheme)!}`, values: { accent } },
    voice: unit.voice,
    name: inOwn(letterNames(unit.grapheme, accent)),
    also: unit.also === undefined ? 'none' : 'one',
    alsoWord: inOwn(unit.also ?? ''),
    rhythm: rhythmOf(shown),
    strokesSaid: listOf(
      [...shown].flatMap((letter) => strokeWays(letter)).map((way): Message => ({ key: `mouths/way.${way}` })),
      'comma',
    ),
    strokes: [...shown].flatMap((letter) => saidAlong(letter)).length,
  };
}

/** What the sound is easily taken for, and what tells the two apart; nothing where there is no such neighbour. */
function neighbourFacts({ grapheme }: SoundUnit, accent: Accent): MessageValues {
  const sound = firstSoundName(grapheme)!;
  const pair = NEIGHBOURS.find(([one, other]) => one === sound || other === sound);
  if (!pair) return {};
  const other = pair[0] === sound ? pair[1] : pair[0];
  const unit = SOUND_UNIT.get(other) ?? SOUND_UNITS.find((candidate) => firstSoundName(candidate.grapheme) === other)!;
  return {
    neighbour: inOwn(unit.spoken),
    tell: { key: `mouths/tell.${pair.join('-')}`, values: { accent } },
  };
}

function waysMaterials(written: string, say: Say): MakerMaterial[] {
  switch (written) {
    case 'flour':
      return [usedUp('flour', 1, [{ item: 'salt', fit: 0.9, why: say('swap.salt') }]), lasting('baking-tray', 1)];
    case 'water':
      return [
        lasting('paintbrush', 1, [{ item: 'sponge', fit: 0.8, why: say('swap.sponge') }]),
        lasting('cup', 1, [{ item: 'bowl', fit: 0.9, why: say('swap.bowl') }]),
      ];
    default:
      return [];
  }
}

/** The strokes of letters as they are said: those of one letter with a pause between, letters one after the other. */
function rhythmOf(letters: string): MessageValues[string] {
  const strokes = [...letters].flatMap((letter) => saidAlong(letter));
  const spoken = strokes.map((words) =>
    listOf(
      words.map((word): Message => ({ key: `sound-page/stroke.${word}` })),
      'comma',
    ),
  );
  return listOf(spoken, 'semicolon');
}

function pictureFor({ word }: SoundUnit, side: number): Drawing {
  const picture = PICTURE_WORD.get(word)?.picture;
  const size = { width: side, height: side };
  return framedCard(picture === undefined ? wordCard(word, { ...size, most: 9 }) : pictureCard(picture, word, size));
}

/** Capital and small large, then in rows that grow smaller; what is met first stands first. */
function soundSheets(unit: SoundUnit, capitalFirst: boolean): Drawing[] {
  const { grapheme } = unit;
  const capital = grapheme[0]!.toUpperCase() + grapheme.slice(1);
  const both = capitalFirst ? [capital, grapheme] : [grapheme, capital];
  const row = (letters: string, height: number, count: number) =>
    inRow(
      Array.from({ length: count }, () => tracedLetters(letters, height)),
      height / 5,
    );
  const size = grapheme.length > 1 ? 44 : 62;
  return [
    inRow([...both.map((letters) => tracedLetters(letters, size)), pictureFor(unit, 48)], 8),
    inColumn(
      both.map((letters) => row(letters, 24, grapheme.length > 1 ? 3 : 5)),
      4,
    ),
    inColumn(
      both.map((letters) => row(letters, 14, grapheme.length > 1 ? 6 : 9)),
      4,
    ),
  ];
}
