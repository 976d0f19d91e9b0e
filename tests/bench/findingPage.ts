import { bestBasket } from '../../src/core/materials/basket.ts';
import { doableNow } from '../../src/core/materials/whatWeHave.ts';

/** What the bench calls in the page. */
Object.assign(globalThis, { finding: { bestBasket, doableNow } });
