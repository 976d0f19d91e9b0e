import type { MakersInWords } from '../core/makers/index.ts';
import { findMaker } from '../makers/index.ts';
import { authorSpeech } from './speeches.ts';

/** All makers, in the words of authors. */
export const authorMakers: MakersInWords = { findMaker, speech: authorSpeech };
