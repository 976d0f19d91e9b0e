import type { SwapReason } from '../core/materials/index.ts';
import { sayScreen } from './screenWords.ts';
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
      return sayScreen('swap.lacks', { lack: LACKS[reason.trait] ?? `it is not ${reason.trait}` });
    case 'larger':
    case 'smaller':
      return sayScreen(`swap.${reason.code}`, { times: timesWords(reason.times) });
    case 'thin':
      return sayScreen('swap.thin', { count: countWords(reason.qty) });
    case 'few':
      return sayScreen('swap.few', { usualQty: reason.usualQty, qty: reason.qty });
    case 'cover-places':
      return sayScreen('swap.cover-places', { places: countWords(reason.places), cover: countWords(reason.cover) });
    case 'add-places':
      return sayScreen('swap.add-places', { places: countWords(reason.places), lacking: countWords(reason.lacking) });
    case 'rare':
    case 'alike':
      return sayScreen(`swap.${reason.code}`);
    case 'ruled':
      return reason.why || sayScreen('swap.ruled');
  }
}

function timesWords(times: number): string {
  return times < 10 ? sayScreen('swap.times', { times }) : sayScreen('swap.many-times');
}
