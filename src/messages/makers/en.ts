import { actItOut } from './en/actItOut.ts';
import { alphabetChart } from './en/alphabetChart.ts';
import { arrivals } from './en/arrivals.ts';
import { balance } from './en/balance.ts';
import { balanceTable } from './en/balanceTable.ts';
import { basketForTheWeek } from './en/basketForTheWeek.ts';
import { beadRow } from './en/beadRow.ts';
import { blendByEar } from './en/blendByEar.ts';
import { bracelet } from './en/bracelet.ts';
import { byHeart } from './en/byHeart.ts';
import { chart } from './en/chart.ts';
import { clapTheFullStops } from './en/clapTheFullStops.ts';
import { clapTheParts } from './en/clapTheParts.ts';
import { clock } from './en/clock.ts';
import { countingSong } from './en/countingSong.ts';
import { craft } from './en/craft.ts';
import { diceMoves } from './en/diceMoves.ts';
import { frame } from './en/frame.ts';
import { game } from './en/game.ts';
import { guessAndCount } from './en/guessAndCount.ts';
import { guessTheSound } from './en/guessTheSound.ts';
import { hundredHunt } from './en/hundredHunt.ts';
import { instructions } from './en/instructions.ts';
import { kitchen } from './en/kitchen.ts';
import { lengthPairs } from './en/lengthPairs.ts';
import { letterHunt } from './en/letterHunt.ts';
import { letterTiles } from './en/letterTiles.ts';
import { littleBook } from './en/littleBook.ts';
import { makers } from './en/makers.ts';
import { measures } from './en/measures.ts';
import { moneyTable } from './en/moneyTable.ts';
import { nameStrip } from './en/nameStrip.ts';
import { numberPots } from './en/numberPots.ts';
import { numberRow } from './en/numberRow.ts';
import { numberStrip } from './en/numberStrip.ts';
import { numeralPage } from './en/numeralPage.ts';
import { orderRow } from './en/orderRow.ts';
import { pairCards } from './en/pairCards.ts';
import { patternRow } from './en/patternRow.ts';
import { patternSong } from './en/patternSong.ts';
import { pictureSpelling } from './en/pictureSpelling.ts';
import { placeSettings } from './en/placeSettings.ts';
import { rhymePot } from './en/rhymePot.ts';
import { sentenceStrips } from './en/sentenceStrips.ts';
import { shapes } from './en/shapes.ts';
import { sortingSet } from './en/sortingSet.ts';
import { soundBoxes } from './en/soundBoxes.ts';
import { soundPage } from './en/soundPage.ts';
import { soundPot } from './en/soundPot.ts';
import { soundStory } from './en/soundStory.ts';
import { storySums } from './en/storySums.ts';
import { strips } from './en/strips.ts';
import { tally } from './en/tally.ts';
import { volumes } from './en/volumes.ts';
import { weekStrip } from './en/weekStrip.ts';
import { wordCards } from './en/wordCards.ts';
import { wordSheet } from './en/wordSheet.ts';
import { writing } from './en/writing.ts';

/**
 * English is complete: every maker has its catalogue here, under its name.
 * Written by `npm run generate` from the folder beside.
 */
export const en = {
  'act-it-out': actItOut,
  'alphabet-chart': alphabetChart,
  arrivals,
  balance,
  'balance-table': balanceTable,
  'basket-for-the-week': basketForTheWeek,
  'bead-row': beadRow,
  'blend-by-ear': blendByEar,
  bracelet,
  'by-heart': byHeart,
  chart,
  'clap-the-full-stops': clapTheFullStops,
  'clap-the-parts': clapTheParts,
  clock,
  'counting-song': countingSong,
  craft,
  'dice-moves': diceMoves,
  frame,
  game,
  'guess-and-count': guessAndCount,
  'guess-the-sound': guessTheSound,
  'hundred-hunt': hundredHunt,
  instructions,
  kitchen,
  'length-pairs': lengthPairs,
  'letter-hunt': letterHunt,
  'letter-tiles': letterTiles,
  'little-book': littleBook,
  makers,
  measures,
  'money-table': moneyTable,
  'name-strip': nameStrip,
  'number-pots': numberPots,
  'number-row': numberRow,
  'number-strip': numberStrip,
  'numeral-page': numeralPage,
  'order-row': orderRow,
  'pair-cards': pairCards,
  'pattern-row': patternRow,
  'pattern-song': patternSong,
  'picture-spelling': pictureSpelling,
  'place-settings': placeSettings,
  'rhyme-pot': rhymePot,
  'sentence-strips': sentenceStrips,
  shapes,
  'sorting-set': sortingSet,
  'sound-boxes': soundBoxes,
  'sound-page': soundPage,
  'sound-pot': soundPot,
  'sound-story': soundStory,
  'story-sums': storySums,
  strips,
  tally,
  volumes,
  'week-strip': weekStrip,
  'word-cards': wordCards,
  'word-sheet': wordSheet,
  writing,
};
