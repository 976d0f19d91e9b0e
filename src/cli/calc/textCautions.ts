import { type FoundWord, READABLE_LANGUAGES, readWords, TEXT_KINDS } from '../../core/cautions/index.ts';
import { calculation, CalcInputError } from './calculation.ts';
import { object, string } from './fields.ts';

const MOST_TEXT = 20_000;

/** What the words of a line, a name, a note, a song or a recipe call for. */
export const calcTextCautions = calculation(
  object({
    language: string().required().max(35),
    text: string().defined().max(MOST_TEXT, `must be at most ${MOST_TEXT} characters`),
    kind: string().required().oneOf(TEXT_KINDS),
  }),
  ({ language, text, kind }) => {
    if (!READABLE_LANGUAGES.includes(language))
      throw new CalcInputError(
        'language',
        `there is no list of words in "${language}"; there are lists in: ${READABLE_LANGUAGES.join(', ')}`,
      );
    const { check, notes, asks, allergens } = readWords(text, kind, language);
    const describe = ({ rule, word, from, to }: FoundWord) => ({ rule, word, from, to });
    return { check: check.map(describe), notes: notes.map(describe), asks: asks.map(describe), allergens };
  },
);
