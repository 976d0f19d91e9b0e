import { hundredMaker } from './hundred.ts';
import { beadRowMaker } from './beadRow.ts';
import { balanceMaker } from './balance.ts';
import { clockMaker } from './clock.ts';
import { diceMovesMaker } from './diceMoves.ts';
import { frameMaker } from './frame.ts';
import { gameMaker } from './game.ts';
import { guessMaker } from './guess.ts';
import { lengthPairsMaker } from './lengthPairs.ts';
import { numberRowMaker } from './numberRow.ts';
import { sortingSetMaker } from './sortingSet.ts';
import { orderRowMaker } from './orderRow.ts';
import { numeralPageMaker } from './numeralPage.ts';
import { balanceTableMaker } from './balanceTable.ts';
import { basketForTheWeekMaker } from './basketForTheWeek.ts';
import { storySumsMaker } from './storySums.ts';
import { arrivalsMaker } from './arrivals.ts';
import { kitchenMaker } from './kitchen.ts';
import { actItOutMaker } from './actItOut.ts';
import { writingMaker } from './writing.ts';
import { shapesMaker } from './shapes.ts';
import { craftMaker } from './craft.ts';
import { braceletMaker } from './bracelet.ts';
import { countingSongMaker } from './countingSong.ts';
import { weekStripMaker } from './weekStrip.ts';
import { chartMaker } from './chart.ts';
import { wordCardsMaker } from './wordCards.ts';
import { soundPageMaker } from './soundPage.ts';
import { littleBookMaker } from './littleBookMaker.ts';
import { patternSongMaker } from './patternSong.ts';
import { soundStoryMaker } from './soundStory.ts';
import { soundBoxesMaker } from './soundBoxes.ts';
import { sentenceStripsMaker } from './sentenceStrips.ts';
import { clapFullStopsMaker } from './clapFullStops.ts';
import { byHeartMaker } from './byHeart.ts';
import { letterHuntMaker } from './letterHunt.ts';
import { alphabetChartMaker } from './alphabetChart.ts';
import { pictureSpellingMaker } from './pictureSpelling.ts';
import { instructionsMaker } from './instructions.ts';
import { rhymePotMaker } from './rhymePot.ts';
import { soundPotMaker } from './soundPot.ts';
import { blendByEarMaker } from './blendByEar.ts';
import { clapPartsMaker } from './clapParts.ts';
import { letterTilesMaker } from './letterTilesMaker.ts';
import { wordSheetMaker } from './wordSheet.ts';
import { nameStripMaker } from './nameStrip.ts';
import { guessSoundMaker } from './guessSound.ts';
import type { Maker } from './maker.ts';
import { moneyTableMaker } from './moneyTable.ts';
import { numberPotsMaker } from './numberPots.ts';
import { numberStripMaker } from './numberStrip.ts';
import { pairCardsMaker } from './pairCardsMaker.ts';
import { patternRowMaker } from './patternRowMaker.ts';
import { placeSettingsMaker } from './placeSettings.ts';
import { stripsMaker } from './strips.ts';
import { tallyMaker } from './tally.ts';
import { volumesMaker } from './volumes.ts';

/** Every maker: numbers in the order of the ladder, what a day and a story ask for, then sounds and words. */
export const MAKERS: readonly Maker[] = [
  sortingSetMaker,
  placeSettingsMaker,
  numberRowMaker,
  numberPotsMaker,
  numeralPageMaker,
  tallyMaker,
  diceMovesMaker,
  frameMaker,
  guessMaker,
  chartMaker,
  stripsMaker,
  lengthPairsMaker,
  orderRowMaker,
  numberStripMaker,
  balanceMaker,
  balanceTableMaker,
  patternRowMaker,
  braceletMaker,
  pairCardsMaker,
  storySumsMaker,
  arrivalsMaker,
  countingSongMaker,
  beadRowMaker,
  hundredMaker,
  moneyTableMaker,
  volumesMaker,
  kitchenMaker,
  shapesMaker,
  weekStripMaker,
  clockMaker,
  gameMaker,
  craftMaker,
  basketForTheWeekMaker,
  actItOutMaker,
  writingMaker,
  guessSoundMaker,
  patternSongMaker,
  clapPartsMaker,
  rhymePotMaker,
  soundStoryMaker,
  soundPotMaker,
  blendByEarMaker,
  soundBoxesMaker,
  soundPageMaker,
  alphabetChartMaker,
  letterHuntMaker,
  nameStripMaker,
  letterTilesMaker,
  pictureSpellingMaker,
  wordCardsMaker,
  wordSheetMaker,
  littleBookMaker,
  sentenceStripsMaker,
  instructionsMaker,
  clapFullStopsMaker,
  byHeartMaker,
];

/** A maker by its name; undefined when there is none. */
export function findMaker(id: string): Maker | undefined {
  return MAKERS.find((maker) => maker.id === id);
}
