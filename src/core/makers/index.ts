/** What all makers have in common: dials, what they make, runs, parts of a session, and an author's own changes to them. The makers are in src/makers. */

export { counterSwaps } from './counterSwaps.ts';
export { generatedParts } from './generatedParts.ts';
export {
  choiceIn,
  dialsOf,
  type FindMaker,
  firstValues,
  type Maker,
  type MakerDial,
  type MakersInWords,
  numberOf,
  type Refusal,
  refuse,
  refuseList,
  runMaker,
  sayFor,
  valuesOfToday,
  waysOf,
  workOut,
} from './maker.ts';
export {
  lasting,
  linesAbout,
  lineWriters,
  type MakerLine,
  type MakerMaterial,
  type MakerOutput,
  type Printable,
  usedUp,
  type Worked,
  WRITTEN_WHOLE,
} from './makerOutput.ts';
export { makerPages, sheetsNeeded } from './makerPages.ts';
export { regenerateIn, segmentFromMaker } from './makerSegment.ts';
export { inOwn, readOwnWords } from './ownWords.ts';
export { readPlays } from './plays.ts';
export { readNumbers } from './readNumbers.ts';
export { soundSessionParts } from './soundSession.ts';
export { SOUND_SESSION_ROLES, type SoundSessionRole } from './soundSessionRoles.ts';
export { shelfKeyOf } from './shelfKeys.ts';
export { type SaidSound, soundsSaid } from './soundsSaid.ts';
export { VARIANTS } from './variant.ts';
export { knownWords, readSpellable, wordsIn } from './wordKnowledge.ts';
export { wordWalk } from './wordWalk.ts';
