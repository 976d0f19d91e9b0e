import type { Catalogues } from '../speech.ts';

/** Makers whose words are written in Spanish; a part of another maker keeps its English words in a Spanish guide. */
export const es: Catalogues = {};
