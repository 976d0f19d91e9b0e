import { balance } from './en/balance.ts';
import { beadRow } from './en/beadRow.ts';
import { clock } from './en/clock.ts';
import { diceMoves } from './en/diceMoves.ts';
import { frame } from './en/frame.ts';
import { guessAndCount } from './en/guessAndCount.ts';
import { hundredHunt } from './en/hundredHunt.ts';
import { lengthPairs } from './en/lengthPairs.ts';
import { makers } from './en/makers.ts';
import { measures } from './en/measures.ts';
import { moneyTable } from './en/moneyTable.ts';
import { numberPots } from './en/numberPots.ts';
import { numberStrip } from './en/numberStrip.ts';
import { pairCards } from './en/pairCards.ts';
import { patternRow } from './en/patternRow.ts';
import { placeSettings } from './en/placeSettings.ts';
import { strips } from './en/strips.ts';
import { tally } from './en/tally.ts';
import { volumes } from './en/volumes.ts';

/**
 * English is complete: every maker has its catalogue here, under its name.
 * Written by `npm run generate` from the folder beside.
 */
export const en = {
  balance,
  'bead-row': beadRow,
  clock,
  'dice-moves': diceMoves,
  frame,
  'guess-and-count': guessAndCount,
  'hundred-hunt': hundredHunt,
  'length-pairs': lengthPairs,
  makers,
  measures,
  'money-table': moneyTable,
  'number-pots': numberPots,
  'number-strip': numberStrip,
  'pair-cards': pairCards,
  'pattern-row': patternRow,
  'place-settings': placeSettings,
  strips,
  tally,
  volumes,
};
