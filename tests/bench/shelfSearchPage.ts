import { doableNow, mostUsefulThings } from '../../src/core/homes/index.ts';

/** What the bench calls in the page. */
Object.assign(globalThis, { finding: { mostUsefulThings, doableNow } });
