import { knownAs } from './fields.ts';
import { distance } from 'fastest-levenshtein';
import { array, number, object, string } from 'yup';
import {
  ALLERGENS,
  CAUTION_LEVELS,
  CAUTION_RULES,
  type CautionLevel,
  readWords,
  TRAITS,
} from '../core/cautions/index.ts';
import { isCalendarDate } from '../core/calendar/index.ts';

export { ALLERGENS };

const MOST_CHARACTERS = 60;

/** The known name that is written most like a word. */
function nearestName(word: string, known: readonly string[]): string {
  const wanted = word.slice(0, MOST_CHARACTERS).toLowerCase();
  return known.reduce((best, name) => (distance(wanted, name) < distance(wanted, best) ? name : best));
}

/** One of a closed list of names; a misspelt one is refused with the nearest. */
const oneOfNames = (names: readonly string[], what: string) =>
  string()
    .required()
    .test('known-name', (word, context) =>
      word === undefined || names.includes(word)
        ? true
        : context.createError({
            message: `“${word.slice(0, MOST_CHARACTERS)}” is not ${what}; the nearest is “${nearestName(word, names)}”`,
          }),
    )
    .meta({ jsonSchema: { enum: names } });

export const traitName = () => oneOfNames(TRAITS, 'a trait');
export const actionName = () => oneOfNames(Object.keys(CAUTION_RULES), 'a caution rule');
export const ruleLevel = () => knownAs<CautionLevel>(oneOfNames(CAUTION_LEVELS, 'a level of care'));
export const allergenName = () => oneOfNames(ALLERGENS, 'on the list of allergens');

/** Letters by which a word may be off a known name and still be taken for it misspelt. */
const MISSPELT_WITHIN = 2;
const SHORTEST_MISSPELT = 5;

/**
 * What a home must not have: an allergen of the list, or anything else in the home's own words, kept as it was written. A
 * word that looks like a known name misspelt is refused with that name, since nothing would be found by it.
 */
export const avoidedName = () =>
  string()
    .trim()
    .required()
    .max(MOST_CHARACTERS, `must be at most ${MOST_CHARACTERS} characters`)
    .test('avoided', (word, context) => {
      if (!word || (ALLERGENS as readonly string[]).includes(word) || readWords(word, 'thing').allergens.length > 0)
        return true;
      const nearest = nearestName(word, ALLERGENS);
      const isMisspelt = word.length >= SHORTEST_MISSPELT && distance(word.toLowerCase(), nearest) <= MISSPELT_WITHIN;
      return (
        !isMisspelt ||
        context.createError({
          message: `“${word}” is not on the list of allergens; the nearest is “${nearest}”`,
        })
      );
    });

const underMonths = () => number().integer().min(1).max(240);
const thingKeys = () => array().of(string().required().max(80)).max(60);

const ownRule = object({
  name: string()
    .required()
    .max(60)
    .matches(
      /^own-[\p{L}\p{M}\p{N}]+(-[\p{L}\p{M}\p{N}]+)*$/u,
      'must start with own- and hold letters, digits and hyphens',
    ),
  things: thingKeys(),
  traits: array().of(traitName()).max(60),
  actions: array().of(actionName()).max(60),
  allergens: array().of(allergenName()).max(20),
  level: ruleLevel(),
  underMonths: underMonths(),
  words: string().required('must say what to do').max(300),
})
  .noUnknown()
  .test('calls', 'needs at least one thing, trait, action or allergen', (rule) =>
    [rule.things, rule.traits, rule.actions, rule.allergens].some((list) => (list?.length ?? 0) > 0),
  )
  .meta({
    jsonSchema: {
      anyOf: ['things', 'traits', 'actions', 'allergens'].map((list) => ({
        required: [list],
        properties: { [list]: { minItems: 1 } },
      })),
    },
  });

const stricterRule = object({ rule: actionName(), level: ruleLevel(), underMonths: underMonths() }).noUnknown();

const hiddenRule = object({
  rule: string().required().max(60),
  by: string().required('must say who decided it').max(200),
  on: string()
    .required()
    .test('day', 'must be a day that exists (YYYY-MM-DD)', (text) => isCalendarDate(text ?? ''))
    .meta({ jsonSchema: { format: 'date' } }),
  why: string().required('must say why').max(300),
}).noUnknown();

/** What a programme decided about cautions: its own rules, stricter ones, and recorded decisions to hide one. */
export const cautionPolicy = () =>
  object({
    own: array().of(ownRule).max(40).default([]),
    stricter: array().of(stricterRule).max(60).default([]),
    hidden: array().of(hiddenRule).max(60).default([]),
  });
