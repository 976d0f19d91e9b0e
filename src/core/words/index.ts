/** Words by what a child has been taught: reading, rhymes, first sounds, sheets, and the words a child practises. */

export { COMMON_WORDS, MOST_WORDS, readWordOrder, unreadableIn } from './commonWords.ts';
export { countWordsIn, fullStopsByPage } from './fullStops.ts';
export { letterSupply } from './letterSupply.ts';
export {
  type CheckedLine,
  checkLineWords,
  type TaughtOn,
  withWordReplaced,
  WORD_AIMS,
  type WordAim,
  type WordFinding,
  type WordFindingCode,
  type WordQuestion,
} from './lineWords.ts';
export { type BookPage, type BookSentence, littleBook, NEW_PAGES } from './littleBook.ts';
export { PICTURE_WORD, PICTURE_WORDS, type PictureWord } from './pictureWords.ts';
export { asSpelled, LONGEST_WORD, readableWord, type WordProblem } from './readableWord.ts';
export { childWords, hardLetters, MONTHS_FOR_WORDS, type WordRead, wordSheets } from './readingLog.ts';
export { firstSoundName, type RecordableSound, recordableSounds, soundName } from './recordableSounds.ts';
export { findRhymes } from './rhymes.ts';
export { isRude } from './rudeWords.ts';
export { type SegmentedWord, segmentWord, taughtGraphemes, USUAL_ORDER } from './segmentWord.ts';
export { diceLines, threeInARow, wordPath } from './sheets/gridGames.ts';
export { circleEvery, matchAcross, wordColours } from './sheets/matchAndMark.ts';
export { missingWordBoxes } from './sheets/missingWord.ts';
export { wordHunt } from './sheets/wordHunt.ts';
export { MOST_CELLS, wordSearch, type WordSearchProblem } from './sheets/wordSearch.ts';
export { soundBasket } from './soundBasket.ts';
export { soundFacts } from './soundFacts.ts';
export { MOST_GROUPS, readSoundOrder, unknownInOrder, writeSoundOrder } from './soundOrder.ts';
export {
  bestNextSound,
  divideWords,
  FEW_WORDS,
  graphemesIn,
  type NextSound,
  openedBySteps,
  type SoundStep,
} from './soundSequence.ts';
export { findStarts, type SpellingTrap } from './starts.ts';
export { countSyllables, type SyllableCount } from './syllables.ts';
export { letterTiles } from './tiles.ts';
export { readableWords, WORD_SHAPES, type WordShape } from './wordLists.ts';
export { wordSets, type WordSets } from './wordSets.ts';
