/** Cautions by age, allergens, and the words that call for them. */

export { ALLERGENS, allergensMeant, avoidedIn, ownWordsOf, readAvoided } from './allergens.ts';
export {
  type Caution,
  type CautionOverAges,
  cautionsOverAges,
  findCautions,
  mayUse,
  type Permission,
  rulesOf,
  stoppedActions,
} from './cautions.ts';
export {
  CAUTION_LEVELS,
  CAUTION_RULES,
  type CautionLevel,
  type CautionPolicy,
  type CautionRule,
  KNOWN_BEFOREHAND,
  levelInRoom,
  PLAIN_TRAITS,
  type Room,
  stricterOf,
  TRAITS,
  USUAL_POLICY,
} from './rules.ts';
export { namesWord } from './words/namesWord.ts';
export {
  type FoundWord,
  isReadable,
  READABLE_LANGUAGES,
  readWords,
  TEXT_KINDS,
  type TextKind,
} from './words/readWords.ts';
