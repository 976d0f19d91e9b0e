/** What a script needs and what serves it: quantities, options, and the one engine that fits them to what is there. */

export { type Amount, amountFor } from './amount.ts';
export { type PreparedPart, preparePart } from './dialSettings.ts';
export { fitParts, type StockItem } from './fitting.ts';
export { type MaterialTotal, tallyThings, totalMaterials } from './materials.ts';
export type { Need, Swap } from './need.ts';
export { amountAsWritten, optionsOf, takeOver } from './options.ts';
export { type ServedPart, serveParts } from './serveParts.ts';
export { amountOf, type NeedToServe, type PartToServe } from './serving.ts';
export { findSwaps, type SwapProposal, type SwapReason, type SwapRuling } from './swapFinder.ts';
export { chooseSwaps, isOldEnough, serveNeeds, type StockedNeed, type SwapPick } from './swaps.ts';
export { asKnown, namesOf, proposedBy, type ShelvedThing, type Thing, type ThingsByKey } from './thing.ts';
export { type ThingIndex, thingIndex, thingsNamed } from './thingsNamed.ts';
export { toolsFor } from './toolsFor.ts';
