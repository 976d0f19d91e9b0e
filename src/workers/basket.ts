import { bestBasket } from '../core/homes/basket.ts';
import type { FeasibleActivity } from '../core/homes/feasibleActivities.ts';

interface BasketQuestion {
  readonly activities: readonly FeasibleActivity[];
  readonly things: readonly { readonly key: string; readonly usualQty: number }[];
  readonly youngestMonths: number;
}

/** Finds the best basket away from the screen. */
self.onmessage = ({ data }: MessageEvent<BasketQuestion>) =>
  self.postMessage(bestBasket(data.activities, data.things, data.youngestMonths));
