import type { Catalogues } from '../core/message.ts';

/**
 * Makers whose scripts are written in Spanish; a part of another maker keeps its English words in a guide.
 * Written by `npm run generate` from the folders beside.
 */
export const scripts: Catalogues = {};
