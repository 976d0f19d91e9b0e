import { bestBasket } from '../../src/core/homes/basket.ts';
import { doableNow } from '../../src/core/homes/feasibleActivities.ts';

/** What the bench calls in the page. */
Object.assign(globalThis, { finding: { bestBasket, doableNow } });
