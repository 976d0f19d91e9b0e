import type { Catalogues } from '../speech.ts';

/** Makers whose words are written in Arabic; a part of another maker keeps its English words in an Arabic guide. */
export const ar: Catalogues = {};
