import type { SwapReason } from '../core/materials/index.ts';
import { countWords } from './term.ts';

const LACKS: Readonly<Record<string, string>> = {
  draws: 'it leaves no mark',
  floats: 'it does not float',
  container: 'nothing can be put into it',
  countable: 'it cannot be counted one by one',
  rolls: 'it does not roll',
  sticks: 'it does not hold on by itself',
  sound: 'it makes no sound',
  transparent: 'one cannot see through it',
  folds: 'it does not fold',
  edible: 'it is not food',
  soft: 'it is not soft',
  stacks: 'it does not stack',
  flat: 'it does not lie flat',
  quiet: 'it is louder',
};

/** A reason of the swap finder as part of a sentence. */
export function describeSwapReason(reason: SwapReason): string {
  switch (reason.code) {
    case 'lacks':
      return LACKS[reason.trait] ?? `it is not ${reason.trait}`;
    case 'larger':
      return `${timesWords(reason.times)} as large`;
    case 'smaller':
      return `${timesWords(reason.times)} smaller`;
    case 'thin':
      return `thin: a hand will not feel that ${countWords(reason.qty)} is many`;
    case 'few':
      return `a home usually has ${reason.usualQty}, and ${reason.qty} are needed`;
    case 'cover-places':
      return `${countWords(reason.places)} hollows: cover ${countWords(reason.cover)}`;
    case 'add-places':
      return `${countWords(reason.places)} hollows: ${countWords(reason.lacking)} are lacking`;
    case 'rare':
      return 'few homes have one';
    case 'alike':
      return 'alike in all that matters here';
    case 'ruled':
      return reason.why || 'you decided that it will do';
  }
}

function timesWords(times: number): string {
  return times < 10 ? `${times} times` : 'many times';
}
