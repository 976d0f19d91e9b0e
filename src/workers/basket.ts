import { bestBasket } from '../core/materials/basket.ts';
import type { HaveActivity } from '../core/materials/whatWeHave.ts';

interface BasketQuestion {
  readonly activities: readonly HaveActivity[];
  readonly things: readonly { readonly key: string; readonly usualQty: number }[];
  readonly youngestMonths: number;
}

/** Finds the best basket away from the screen. */
self.onmessage = ({ data }: MessageEvent<BasketQuestion>) =>
  self.postMessage(bestBasket(data.activities, data.things, data.youngestMonths));
