/** A home against a session: who lives there, what it has, what serves, what it may not have, what has to be asked first. */

export { countHomes, type Doable, doableNow, type FeasibleActivity, usesOf } from './feasibleActivities.ts';
export { type Bag, type Gathered, gatherBags } from './bags.ts';
export { fetchOf, kitOf } from './fetching.ts';
export { childFor, type Home } from './home.ts';
export {
  differencesOf,
  type FittedPart,
  type HomeDifference,
  type HomeFit,
  type HomeOutcome,
  outcomeOf,
  type ServedNeed,
} from './homeFit.ts';
export { asUsed, distinctHouseholds, type Household, householdOn, isPermitted } from './household.ts';
export { activitiesFor, type CountedThing, type Inventory, type ShelfChoice } from './inventory.ts';
export { mostUsefulThings, type UsefulThings } from './mostUsefulThings.ts';
export {
  type CautionDecision,
  type Decided,
  decisionOn,
  DECISIONS,
  NOTHING_DECIDED,
  openQuestions,
  type PartQuestion,
  roomsOf,
  type SessionSafety,
} from './partQuestions.ts';
export { questionMessages, stopMessage, wordsMessage } from './questionWords.ts';
export { checkReadiness, type HomeState, type Readiness } from './readiness.ts';
export {
  fitHome,
  fitHomes,
  type FitSettings,
  itemsServing,
  needIdIn,
  readinessOfAll,
  sessionFitter,
} from './sessionReadiness.ts';
