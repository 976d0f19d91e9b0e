import { knownWords } from '../../core/makers/index.ts';
import { saidAlong, strokeWays } from '../../core/page/index.ts';
import { soundFacts } from '../../core/words/index.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { withoutMarks } from '../../messages/ownWords.ts';
import { CalcInputError, calculation } from './calculation.ts';
import { object, string } from './fields.ts';
import { accent } from './wordFields.ts';

/** Letters with their sound: how the mouth makes it, a word to hear it in, words with a picture, and how the letters are written. */
export const calcSound = calculation(
  object({ grapheme: string().required('must be letters such as d or sh').max(10), accent: accent() }),
  ({ grapheme: given, accent: chosen = 'gb' }) => {
    const grapheme = given.trim().toLowerCase();
    const facts = soundFacts(grapheme, knownWords({ accent: chosen }));
    const mouth = facts && authorSpeech.find(`mouths/made.${facts.sound}`, { accent: chosen });
    if (!facts || !mouth) throw new CalcInputError('grapheme', `“${given}” stands for no sound that is known here`);
    const { model, isVoiced: voiced, words } = facts;
    const capital = `${grapheme[0]!.toUpperCase()}${grapheme.slice(1)}`;
    return {
      mouth,
      model:
        model === undefined
          ? null
          : withoutMarks(
              authorSpeech.say(`mouths/model.${model.notOf === undefined ? model.place : 'not'}`, {
                word: { own: model.word },
                other: { own: model.notOf ?? '' },
              }),
            ),
      voiced,
      words,
      strokes: { small: strokesOf(grapheme), capital: strokesOf(capital) },
      chant: { small: chantOf(grapheme), capital: chantOf(capital) },
    };
  },
);

const strokesOf = (letters: string) =>
  [...letters].flatMap((letter) => strokeWays(letter)).map((way) => authorSpeech.say(`mouths/way.${way}`));

const chantOf = (letters: string) =>
  [...letters]
    .flatMap((letter) => saidAlong(letter))
    .flatMap((words) => words.map((word) => authorSpeech.say(`sound-page/stroke.${word}`)));
