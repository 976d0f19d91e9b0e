/** Fits are compared to a millionth. */
const FIT_STEPS = 1e6;

/** What an option is worth among so many needs: whole numbers, so that the order of worth is exact. */
export interface Worth {
  /** For serving a need at all: more than all fits together. */
  readonly cover: number;
  /** For an option: for serving, for its fit, and a little for being what the script says. */
  readonly of: (fit: number, isFirst: boolean) => number;
}

/** How covered needs, fit and first options are weighed against each other, in this order. At most 1,000 needs. */
export function worthAmong(needs: number): Worth {
  const perFitStep = needs + 1;
  const cover = perFitStep * FIT_STEPS * (needs + 1);
  return { cover, of: (fit, isFirst) => cover + Math.round(fit * FIT_STEPS) * perFitStep + (isFirst ? 1 : 0) };
}
