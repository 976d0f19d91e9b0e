/** A session as a value: parts, lines, levels, dials, and the closed set of edits that change it. */

export { makeAdjustable, numbersIn, type NumberUse, rangeFor, singularOf, usesOf } from './adjustable.ts';
export { agesFromYears, agesInYears } from './ages.ts';
export { amountAtLevel, templateScope } from './asWrittenScope.ts';
export { checkScript, type PlacesByItem, placesOf, type ScriptFault, type ScriptProblem } from './checkScript.ts';
export { answersKeyWithId, partWithChoiceIds, withChoiceIds } from './choiceIds.ts';
export { type ChoiceDial, choiceWord, type Dial, dialValues, isNumberDial, type NumberDial } from './dial.ts';
export { applyEdit, checkDial, type Regenerate } from './edit.ts';
export type { Edit, EditProblem } from './edits.ts';
export { applyChanges, type Change, changesBetween, MOST_CHANGES } from './changes.ts';
export { mergeSessions } from './mergeSessions.ts';
export { textElsewhere } from './elsewhere.ts';
export { guessKind } from './guessKind.ts';
export { type LevelName, LEVELS } from './levelName.ts';
export { isWholeLevel, levelsOf, linesAt, quantityAt, valuesAt } from './levels.ts';
export { type Line, LINE_KINDS, type LineKind } from './line.ts';
export type { MakerProblem } from './makerProblem.ts';
export {
  answersKey,
  type AuthorChanges,
  type LevelChanges,
  type MakerSettings,
  type MakerSource,
  type MakerValues,
  type NeedChange,
  NUMBER_SCHOOLS,
  type NumberSchool,
  schoolOf,
  USUAL_SETTINGS,
  WORDS_EDITION,
} from './makerSource.ts';
export { aheadWith, type PartText, textsOfPart } from './partTexts.ts';
export { MOST_PASTED, type Paragraph, paragraphsOf, type PastedPart, readPasted } from './pastedScript.ts';
export { emptyScript, plainSegment } from './plainSegment.ts';
export {
  type ActivityBody,
  type KeptFinding,
  type Remark,
  type LevelChange,
  type Posture,
  POSTURES,
  type Segment,
  SEGMENT_KINDS,
  type Session,
  type TripleOfQuantities,
} from './session.ts';
export { benchPreparations, plannedPreparations } from './sessionPreparations.ts';
export { readScript, readWholeSession, type StoredScript, writeScript, writeWholeSession } from './storedScript.ts';
export type { WrittenLine } from './writtenLines.ts';
