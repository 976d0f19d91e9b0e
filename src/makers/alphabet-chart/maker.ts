import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { CAP_HEIGHT, type Drawing, fittingSize, framedCard, inGrid, type Shape } from '../../core/page/index.ts';
import { SOUND_UNIT, type SoundUnit } from '../../core/sounds/index.ts';
import { PICTURE_WORD } from '../../core/words/index.ts';
import { inOwn, lasting, linesAbout, type Maker, sheetsNeeded, usedUp } from '../../core/makers/index.ts';

const ALPHABET = [...'abcdefghijklmnopqrstuvwxyz'];
const CARD = { width: 45, height: 52 };

/** What is known of a letter; q is met with its u. */
const unitOf = (letter: string): SoundUnit => SOUND_UNIT.get(letter === 'q' ? 'qu' : letter)!;

/** A card for a letter: capital and small, a picture or a word for its sound, and a second dot where it has a second sound. */
function letterCard(letter: string, capitalFirst: boolean): Drawing {
  const { word, also } = unitOf(letter);
  const pair = capitalFirst ? `${letter.toUpperCase()} ${letter}` : `${letter} ${letter.toUpperCase()}`;
  const picture = PICTURE_WORD.get(word)?.picture;
  const size = fittingSize(word, CARD.width * 0.86, 6);
  const dots = Array.from({ length: also === undefined ? 1 : 2 }, (_, index): Shape => ({
    kind: 'circle',
    x: CARD.width - 5 - index * 4,
    y: 5,
    r: 1.3,
    fill: 'teal',
  }));
  return {
    ...CARD,
    shapes: [
      { kind: 'text', x: CARD.width / 2, y: 5 + 12 * CAP_HEIGHT, size: 12, text: pair, align: 'middle' },
      ...(picture === undefined
        ? []
        : [{ kind: 'picture', name: picture, x: (CARD.width - 22) / 2, y: 18, w: 22, h: 22 } as const]),
      { kind: 'text', x: CARD.width / 2, y: CARD.height - 4, size, text: word, align: 'middle' },
      ...dots,
    ],
  };
}

/** a to z by letter, sound and picture; one line along a wall, or a wall of cards. */
export const maker: Maker = {
  id: 'alphabet-chart',
  place: 450,
  skills: ['letter-sound', 'first-sound'],
  dials: [
    { kind: 'choice', name: 'hung', choices: ['in-one-line', 'as-a-wall-of-cards'], value: 'in-one-line' },
    { kind: 'choice', name: 'letter', choices: ALPHABET, value: 'm' },
  ],
  make(values, settings, say) {
    const isLine = values.hung === 'in-one-line';
    const letter = String(values.letter);
    const at = ALPHABET.indexOf(letter);
    const unit = unitOf(letter);
    const cards = ALPHABET.map((each) => letterCard(each, settings.letters === 'capitals'));
    const printable = { title: say('printable'), cards, sheets: [] };
    const withTwo = ALPHABET.filter((each) => unitOf(each).also !== undefined);
    const near = ALPHABET.slice(Math.max(0, at - 2), Math.max(0, at - 2) + 6);
    const facts: MessageValues = {
      names: settings.firstSaid === 'names' ? 'yes' : 'no',
      hung: isLine ? 'line' : 'wall',
      metres: (CARD.width * ALPHABET.length) / 1000,
      count: ALPHABET.length,
      letter: inOwn(letter),
      sound: inOwn(unit.spoken),
      word: inOwn(unit.word),
      place: unit.place,
      before: inOwn(ALPHABET[at - 1] ?? ''),
      after: inOwn(ALPHABET[at + 1] ?? ''),
      at: at + 1,
      isFirst: at === 0 ? 'yes' : 'no',
      isLast: at === ALPHABET.length - 1 ? 'yes' : 'no',
      also: unit.also === undefined ? 'no' : 'yes',
      alsoWord: inOwn(unit.also ?? ''),
      two: listOf(withTwo.map(inOwn)),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts), say('fact.two', facts)],
      values: facts,
      turns: { count: 8, seconds: 20 },
      picture: inGrid(
        near.map((each) => framedCard(letterCard(each, settings.letters === 'capitals'))),
        3,
        4,
      ),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'do-3', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable)),
        lasting('scissors', 1),
        usedUp('masking-tape', 1, [{ item: 'clothes-peg', fit: 0.7, why: say('swap.peg') }]),
      ],
      actions: ['scissors'],
      printable,
      key: ALPHABET.map((each) => say('key', keyFacts(each))),
    });
  },
};

function keyFacts(letter: string): MessageValues {
  const { spoken, word, also } = unitOf(letter);
  return {
    letter: inOwn(letter),
    sound: inOwn(spoken),
    word: inOwn(word),
    also: also === undefined ? 'no' : 'yes',
    alsoWord: inOwn(also ?? ''),
  };
}
