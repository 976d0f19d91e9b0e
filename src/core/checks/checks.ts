import type { Check } from './check.ts';
import { homeChecks } from './homeChecks.ts';
import { needChecks } from './needChecks.ts';
import { beforeMade } from './rules/beforeMade.ts';
import { falseRhyme } from './rules/falseRhyme.ts';
import { groupWords } from './rules/groupWords.ts';
import { hardWords } from './rules/hardWords.ts';
import { levelNotEasier } from './rules/levelNotEasier.ts';
import { longLine } from './rules/longLine.ts';
import { missingTool } from './rules/missingTool.ts';
import { noEnding } from './rules/noEnding.ts';
import { noOtherAnswer } from './rules/noOtherAnswer.ts';
import { noPlace } from './rules/noPlace.ts';
import { notListed } from './rules/notListed.ts';
import { unreadWord } from './rules/unreadWord.ts';
import { nothingMoves } from './rules/nothingMoves.ts';
import { numbersDisagree } from './rules/numbersDisagree.ts';
import { onlyClosed } from './rules/onlyClosed.ts';
import { overMinutes } from './rules/overMinutes.ts';
import { placeholder } from './rules/placeholder.ts';
import { repeated } from './rules/repeated.ts';
import { stopsAtTen } from './rules/stopsAtTen.ts';
import { titleUnborne } from './rules/titleUnborne.ts';
import { typedNumber } from './rules/typedNumber.ts';
import { unnamedThing } from './rules/unnamedThing.ts';
import { verseTune } from './rules/verseTune.ts';
import { scriptChecks } from './scriptChecks.ts';
import { sitChecks } from './sitChecks.ts';

/** Every check by its name, in the order in which they speak of a part. One of `rules` is a file and a message. */
export const CHECKS = {
  ...scriptChecks,
  ...needChecks,
  ...homeChecks,
  ...sitChecks,
  placeholder,
  'long-line': longLine,
  'hard-words': hardWords,
  'typed-number': typedNumber,
  'numbers-disagree': numbersDisagree,
  'not-listed': notListed,
  'unnamed-thing': unnamedThing,
  'no-tool': missingTool,
  'before-made': beforeMade,
  'no-place': noPlace,
  'group-words': groupWords,
  'only-closed': onlyClosed,
  'no-other-answer': noOtherAnswer,
  'level-not-easier': levelNotEasier,
  'title-unborne': titleUnborne,
  'false-rhyme': falseRhyme,
  'unread-word': unreadWord,
  'verse-tune': verseTune,
  'stops-at-ten': stopsAtTen,
  repeated,
  'nothing-moves': nothingMoves,
  'no-ending': noEnding,
  'over-minutes': overMinutes,
} as const satisfies Readonly<Record<string, Check>>;
