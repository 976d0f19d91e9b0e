import type { FindMaker, Maker } from '../core/makers/index.ts';
import { maker as actItOut } from './act-it-out/maker.ts';
import { maker as alphabetChart } from './alphabet-chart/maker.ts';
import { maker as arrivals } from './arrivals/maker.ts';
import { maker as balance } from './balance/maker.ts';
import { maker as balanceTable } from './balance-table/maker.ts';
import { maker as basketForTheWeek } from './basket-for-the-week/maker.ts';
import { maker as beadRow } from './bead-row/maker.ts';
import { maker as blendByEar } from './blend-by-ear/maker.ts';
import { maker as bracelet } from './bracelet/maker.ts';
import { maker as byHeart } from './by-heart/maker.ts';
import { maker as chart } from './chart/maker.ts';
import { maker as clapTheFullStops } from './clap-the-full-stops/maker.ts';
import { maker as clapTheParts } from './clap-the-parts/maker.ts';
import { maker as clock } from './clock/maker.ts';
import { maker as countingSong } from './counting-song/maker.ts';
import { maker as craft } from './craft/maker.ts';
import { maker as diceMoves } from './dice-moves/maker.ts';
import { maker as frame } from './frame/maker.ts';
import { maker as game } from './game/maker.ts';
import { maker as guessAndCount } from './guess-and-count/maker.ts';
import { maker as guessTheSound } from './guess-the-sound/maker.ts';
import { maker as hundredHunt } from './hundred-hunt/maker.ts';
import { maker as instructions } from './instructions/maker.ts';
import { maker as kitchen } from './kitchen/maker.ts';
import { maker as lengthPairs } from './length-pairs/maker.ts';
import { maker as letterHunt } from './letter-hunt/maker.ts';
import { maker as letterTiles } from './letter-tiles/maker.ts';
import { maker as littleBook } from './little-book/maker.ts';
import { maker as moneyTable } from './money-table/maker.ts';
import { maker as nameStrip } from './name-strip/maker.ts';
import { maker as numberPots } from './number-pots/maker.ts';
import { maker as numberRow } from './number-row/maker.ts';
import { maker as numberStrip } from './number-strip/maker.ts';
import { maker as numeralPage } from './numeral-page/maker.ts';
import { maker as orderRow } from './order-row/maker.ts';
import { maker as pairCards } from './pair-cards/maker.ts';
import { maker as patternRow } from './pattern-row/maker.ts';
import { maker as patternSong } from './pattern-song/maker.ts';
import { maker as pictureSpelling } from './picture-spelling/maker.ts';
import { maker as placeSettings } from './place-settings/maker.ts';
import { maker as rhymePot } from './rhyme-pot/maker.ts';
import { maker as sentenceStrips } from './sentence-strips/maker.ts';
import { maker as shapes } from './shapes/maker.ts';
import { maker as sortingSet } from './sorting-set/maker.ts';
import { maker as soundBoxes } from './sound-boxes/maker.ts';
import { maker as soundPage } from './sound-page/maker.ts';
import { maker as soundPot } from './sound-pot/maker.ts';
import { maker as soundStory } from './sound-story/maker.ts';
import { maker as storySums } from './story-sums/maker.ts';
import { maker as strips } from './strips/maker.ts';
import { maker as tally } from './tally/maker.ts';
import { maker as volumes } from './volumes/maker.ts';
import { maker as weekStrip } from './week-strip/maker.ts';
import { maker as wordCards } from './word-cards/maker.ts';
import { maker as wordSheet } from './word-sheet/maker.ts';
import { maker as writing } from './writing/maker.ts';

/** Every maker, in the order in which a child meets what they are about. Written by `npm run generate` from the folders beside. */
export const MAKERS: readonly Maker[] = [
  actItOut,
  alphabetChart,
  arrivals,
  balance,
  balanceTable,
  basketForTheWeek,
  beadRow,
  blendByEar,
  bracelet,
  byHeart,
  chart,
  clapTheFullStops,
  clapTheParts,
  clock,
  countingSong,
  craft,
  diceMoves,
  frame,
  game,
  guessAndCount,
  guessTheSound,
  hundredHunt,
  instructions,
  kitchen,
  lengthPairs,
  letterHunt,
  letterTiles,
  littleBook,
  moneyTable,
  nameStrip,
  numberPots,
  numberRow,
  numberStrip,
  numeralPage,
  orderRow,
  pairCards,
  patternRow,
  patternSong,
  pictureSpelling,
  placeSettings,
  rhymePot,
  sentenceStrips,
  shapes,
  sortingSet,
  soundBoxes,
  soundPage,
  soundPot,
  soundStory,
  storySums,
  strips,
  tally,
  volumes,
  weekStrip,
  wordCards,
  wordSheet,
  writing,
].sort((one, other) => one.place - other.place);

/** A maker by its name; undefined when there is none. */
export const findMaker: FindMaker = (id) => MAKERS.find((maker) => maker.id === id);
