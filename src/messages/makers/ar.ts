import type { Catalogues } from '../speech.ts';

/**
 * Makers whose words are written in Arabic; a part of another maker keeps its English words in a guide.
 * Written by `npm run generate` from the folder beside.
 */
export const ar: Catalogues = {};
