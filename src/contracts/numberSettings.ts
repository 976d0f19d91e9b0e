import { WORD_GAME_ENDS, type WordGameEnd } from '../core/games/index.ts';
import { CURRENCIES, type CurrencyName } from '../core/numbers/index.ts';
import { NUMBER_SCHOOLS, type NumberSchool } from '../core/session/index.ts';
import { type Accent, ACCENTS } from '../core/sounds/index.ts';
import { MOST_GROUPS, unknownInOrder, USUAL_ORDER, writeSoundOrder } from '../core/words/index.ts';
import { boolean, number, string } from 'yup';

const turnSeconds = () => number().typeError('must be a number').min(1).max(120);
/** An order of sounds as an owner writes it; the usual one, or nothing, is no order of their own. */
const soundOrder = () =>
  string()
    .max(1000, 'must be at most 1000 characters')
    .transform((text: string) => {
      const written = text.replace(/\r\n?/g, '\n').trim();
      return written === '' || written === writeSoundOrder(USUAL_ORDER) ? undefined : written;
    })
    .test('groups', `must be at most ${MOST_GROUPS} groups`, (text) => (text ?? '').split('\n').length <= MOST_GROUPS)
    .test('known', (text, context) => {
      const unknown = unknownInOrder(text ?? '');
      return (
        unknown.length === 0 ||
        context.createError({ message: `holds “${unknown[0]!.slice(0, 20)}”, for which we know no sound` })
      );
    });
/** So few that a game still ends. */
const missesInHundred = () => number().typeError('must be a number').integer().min(0).max(90);

/** How a programme works with numbers, field by field. */
export const numberSettings = () => ({
  zeroEarly: boolean().required(),
  stage: string()
    .required()
    .oneOf(['objects', 'pictures', 'signs'] as const),
  pastTen: boolean().required(),
  playOnly: boolean().required(),
  isLeftHanded: boolean().required(),
  school: string().oneOf(NUMBER_SCHOOLS as readonly NumberSchool[]),
  accent: string().oneOf(ACCENTS as readonly Accent[]),
  letters: string().oneOf(['small', 'capitals'] as const),
  firstSaid: string().oneOf(['sounds', 'names'] as const),
  wordGames: string().oneOf(WORD_GAME_ENDS as readonly WordGameEnd[]),
  soundOrder: soundOrder(),
  youngerSeconds: turnSeconds(),
  olderSeconds: turnSeconds(),
  youngerMisses: missesInHundred(),
  olderMisses: missesInHundred(),
  currency: string()
    .required()
    .oneOf(Object.keys(CURRENCIES) as CurrencyName[]),
});
