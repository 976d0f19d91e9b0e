import { scripts as makers } from './sentences/makers.en.ts';
import { scripts as measures } from './sentences/measures.en.ts';
import { scripts as mouths } from './sentences/mouths.en.ts';
import { scripts as actItOut } from './act-it-out/scripts.en.ts';
import { scripts as alphabetChart } from './alphabet-chart/scripts.en.ts';
import { scripts as arrivals } from './arrivals/scripts.en.ts';
import { scripts as balance } from './balance/scripts.en.ts';
import { scripts as balanceTable } from './balance-table/scripts.en.ts';
import { scripts as basketForTheWeek } from './basket-for-the-week/scripts.en.ts';
import { scripts as beadRow } from './bead-row/scripts.en.ts';
import { scripts as blendByEar } from './blend-by-ear/scripts.en.ts';
import { scripts as bracelet } from './bracelet/scripts.en.ts';
import { scripts as byHeart } from './by-heart/scripts.en.ts';
import { scripts as chart } from './chart/scripts.en.ts';
import { scripts as clapTheFullStops } from './clap-the-full-stops/scripts.en.ts';
import { scripts as clapTheParts } from './clap-the-parts/scripts.en.ts';
import { scripts as clock } from './clock/scripts.en.ts';
import { scripts as countingSong } from './counting-song/scripts.en.ts';
import { scripts as craft } from './craft/scripts.en.ts';
import { scripts as diceMoves } from './dice-moves/scripts.en.ts';
import { scripts as frame } from './frame/scripts.en.ts';
import { scripts as game } from './game/scripts.en.ts';
import { scripts as guessAndCount } from './guess-and-count/scripts.en.ts';
import { scripts as guessTheSound } from './guess-the-sound/scripts.en.ts';
import { scripts as hundredHunt } from './hundred-hunt/scripts.en.ts';
import { scripts as instructions } from './instructions/scripts.en.ts';
import { scripts as kitchen } from './kitchen/scripts.en.ts';
import { scripts as lengthPairs } from './length-pairs/scripts.en.ts';
import { scripts as letterHunt } from './letter-hunt/scripts.en.ts';
import { scripts as letterTiles } from './letter-tiles/scripts.en.ts';
import { scripts as littleBook } from './little-book/scripts.en.ts';
import { scripts as moneyTable } from './money-table/scripts.en.ts';
import { scripts as nameStrip } from './name-strip/scripts.en.ts';
import { scripts as numberPots } from './number-pots/scripts.en.ts';
import { scripts as numberRow } from './number-row/scripts.en.ts';
import { scripts as numberStrip } from './number-strip/scripts.en.ts';
import { scripts as numeralPage } from './numeral-page/scripts.en.ts';
import { scripts as orderRow } from './order-row/scripts.en.ts';
import { scripts as pairCards } from './pair-cards/scripts.en.ts';
import { scripts as patternRow } from './pattern-row/scripts.en.ts';
import { scripts as patternSong } from './pattern-song/scripts.en.ts';
import { scripts as pictureSpelling } from './picture-spelling/scripts.en.ts';
import { scripts as placeSettings } from './place-settings/scripts.en.ts';
import { scripts as rhymePot } from './rhyme-pot/scripts.en.ts';
import { scripts as sentenceStrips } from './sentence-strips/scripts.en.ts';
import { scripts as shapes } from './shapes/scripts.en.ts';
import { scripts as sortingSet } from './sorting-set/scripts.en.ts';
import { scripts as soundBoxes } from './sound-boxes/scripts.en.ts';
import { scripts as soundPage } from './sound-page/scripts.en.ts';
import { scripts as soundPot } from './sound-pot/scripts.en.ts';
import { scripts as soundStory } from './sound-story/scripts.en.ts';
import { scripts as storySums } from './story-sums/scripts.en.ts';
import { scripts as strips } from './strips/scripts.en.ts';
import { scripts as tally } from './tally/scripts.en.ts';
import { scripts as volumes } from './volumes/scripts.en.ts';
import { scripts as weekStrip } from './week-strip/scripts.en.ts';
import { scripts as wordCards } from './word-cards/scripts.en.ts';
import { scripts as wordSheet } from './word-sheet/scripts.en.ts';
import { scripts as writing } from './writing/scripts.en.ts';

/**
 * English is complete: every maker has its scripts here, under its name.
 * Written by `npm run generate` from the folders beside.
 */
export const scripts = {
  makers,
  measures,
  mouths,
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
