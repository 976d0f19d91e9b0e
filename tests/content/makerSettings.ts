import type { MakerValues } from '../../src/core/session/index.ts';
import { firstValues, type Maker } from '../../src/core/makers/index.ts';

/** The settings of a maker that are tried: as it starts, each dial at its ends and each of its choices. */
export function makerSettings(maker: Maker): MakerValues[] {
  const start = firstValues(maker);
  return [
    start,
    ...maker.dials.flatMap((dial) =>
      (dial.kind === 'number' ? [dial.min, dial.min + 1, dial.max] : dial.kind === 'choice' ? dial.choices : []).map(
        (value) => ({
          ...start,
          [dial.name]: value,
        }),
      ),
    ),
  ];
}
