import { regenerateIn } from '../../core/makers/index.ts';
import { authorMakers } from '../../messages/authorMakers.ts';

export { soundsSaid } from '../../core/makers/index.ts';
export { describeMakerProblem } from '../../messages/makers.ts';

/** Writes a maker's part anew in the words of authors. */
export const regenerate = regenerateIn(authorMakers);
