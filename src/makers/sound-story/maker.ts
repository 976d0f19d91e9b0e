import { type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { framedCard, inColumn, inRow, tracedLetters, wordCard, writing } from '../../core/page/index.ts';
import { SOUND_UNIT } from '../../core/sounds/index.ts';
import { inOwn, linesAbout, type Maker, usedUp } from '../../core/makers/index.ts';

/** Sounds that come by themselves in something that happens; each has a story, an action and a line to sing in the catalogue. */
export const STORY_SOUNDS = [
  's',
  'm',
  'f',
  'h',
  'p',
  't',
  'b',
  'n',
  'r',
  'l',
  'w',
  'v',
  'z',
  'sh',
  'ch',
  'th',
] as const;

/** A few lines in which a sound comes by itself, an action for it, and a song of one line. */
export const maker: Maker = {
  id: 'sound-story',
  place: 400,
  skills: ['first-sound', 'listen'],
  dials: [
    { kind: 'choice', name: 'sound', choices: STORY_SOUNDS, value: 's' },
    { kind: 'choice', name: 'told', choices: ['as-a-story', 'as-a-rhyme'], value: 'as-a-story' },
  ],
  make(values, _settings, say) {
    const sound = String(values.sound);
    const unit = SOUND_UNIT.get(sound)!;
    const isRhyme = values.told === 'as-a-rhyme';
    const told = isRhyme ? 'rhyme' : 'story';
    const facts: MessageValues = {
      sound: inOwn(unit.spoken),
      letters: inOwn(sound),
      word: inOwn(unit.word),
      length: unit.length,
      told,
      text: { key: `sound-story/${told}.${sound}` },
      act: { key: `sound-story/act.${sound}` },
      song: { key: `sound-story/song.${sound}` },
    };
    const write = linesAbout(say, facts);
    const text = say(`${told}.${sound}`);
    const page = inColumn(
      [
        inRow([tracedLetters(sound, 40), framedCard(wordCard(unit.word, { width: 50, height: 24, most: 10 }))], 10),
        writing([text, '', say(`song.${sound}`)], { width: 170, size: 7 }),
      ],
      8,
    );
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: 3, seconds: 60 },
      picture: page,
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write(`do-1.${told}`, 'say-1', 'ask-1', 'do-3', 'say-2', 'notice-1', 'if-1'),
        harder: write(`do-1.${told}`, 'say-1', 'ask-1', 'do-4', 'ask-4'),
      },
      materials: [usedUp('paper', 1)],
      actions: [],
      printable: { title: say('printable'), cards: [], sheets: [page] },
      key: [say('key', facts)],
    });
  },
};
