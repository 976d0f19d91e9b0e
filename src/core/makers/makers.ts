import { hundredMaker } from './hundred.ts';
import { beadRowMaker } from './beadRow.ts';
import { balanceMaker } from './balance.ts';
import { clockMaker } from './clock.ts';
import { diceMovesMaker } from './diceMoves.ts';
import { frameMaker } from './frame.ts';
import { guessMaker } from './guess.ts';
import { lengthPairsMaker } from './lengthPairs.ts';
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

/** Every number maker, in the order of the ladder. */
export const MAKERS: readonly Maker[] = [
  placeSettingsMaker,
  numberPotsMaker,
  tallyMaker,
  diceMovesMaker,
  frameMaker,
  guessMaker,
  stripsMaker,
  lengthPairsMaker,
  numberStripMaker,
  balanceMaker,
  patternRowMaker,
  pairCardsMaker,
  beadRowMaker,
  hundredMaker,
  moneyTableMaker,
  volumesMaker,
  clockMaker,
];

/** A maker by its name; undefined when there is none. */
export function findMaker(id: string): Maker | undefined {
  return MAKERS.find((maker) => maker.id === id);
}
