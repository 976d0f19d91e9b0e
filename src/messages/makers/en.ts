import { actItOut } from './en/actItOut.ts';
import { arrivals } from './en/arrivals.ts';
import { balance } from './en/balance.ts';
import { balanceTable } from './en/balanceTable.ts';
import { basketForTheWeek } from './en/basketForTheWeek.ts';
import { beadRow } from './en/beadRow.ts';
import { bracelet } from './en/bracelet.ts';
import { chart } from './en/chart.ts';
import { clock } from './en/clock.ts';
import { countingSong } from './en/countingSong.ts';
import { craft } from './en/craft.ts';
import { diceMoves } from './en/diceMoves.ts';
import { frame } from './en/frame.ts';
import { game } from './en/game.ts';
import { guessAndCount } from './en/guessAndCount.ts';
import { hundredHunt } from './en/hundredHunt.ts';
import { kitchen } from './en/kitchen.ts';
import { lengthPairs } from './en/lengthPairs.ts';
import { makers } from './en/makers.ts';
import { measures } from './en/measures.ts';
import { moneyTable } from './en/moneyTable.ts';
import { numberPots } from './en/numberPots.ts';
import { numberRow } from './en/numberRow.ts';
import { numberStrip } from './en/numberStrip.ts';
import { numeralPage } from './en/numeralPage.ts';
import { orderRow } from './en/orderRow.ts';
import { pairCards } from './en/pairCards.ts';
import { patternRow } from './en/patternRow.ts';
import { placeSettings } from './en/placeSettings.ts';
import { shapes } from './en/shapes.ts';
import { sortingSet } from './en/sortingSet.ts';
import { storySums } from './en/storySums.ts';
import { strips } from './en/strips.ts';
import { tally } from './en/tally.ts';
import { volumes } from './en/volumes.ts';
import { weekStrip } from './en/weekStrip.ts';
import { writing } from './en/writing.ts';

/**
 * English is complete: every maker has its catalogue here, under its name.
 * Written by `npm run generate` from the folder beside.
 */
export const en = {
  'act-it-out': actItOut,
  arrivals,
  balance,
  'balance-table': balanceTable,
  'basket-for-the-week': basketForTheWeek,
  'bead-row': beadRow,
  bracelet,
  chart,
  clock,
  'counting-song': countingSong,
  craft,
  'dice-moves': diceMoves,
  frame,
  game,
  'guess-and-count': guessAndCount,
  'hundred-hunt': hundredHunt,
  kitchen,
  'length-pairs': lengthPairs,
  makers,
  measures,
  'money-table': moneyTable,
  'number-pots': numberPots,
  'number-row': numberRow,
  'number-strip': numberStrip,
  'numeral-page': numeralPage,
  'order-row': orderRow,
  'pair-cards': pairCards,
  'pattern-row': patternRow,
  'place-settings': placeSettings,
  shapes,
  'sorting-set': sortingSet,
  'story-sums': storySums,
  strips,
  tally,
  volumes,
  'week-strip': weekStrip,
  writing,
};
