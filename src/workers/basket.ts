import { type FeasibleActivity, mostUsefulThings } from '../core/homes/index.ts';

interface BasketQuestion {
  readonly activities: readonly FeasibleActivity[];
  readonly things: readonly { readonly key: string; readonly usualQty: number }[];
  readonly youngestMonths: number;
}

/** Finds the best basket away from the screen. */
self.onmessage = ({ data }: MessageEvent<BasketQuestion>) =>
  self.postMessage(mostUsefulThings(data.activities, data.things, data.youngestMonths));
