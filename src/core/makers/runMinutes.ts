import type { Triple } from '../numbers/index.ts';
import type { Segment, TripleOfQuantities } from '../session/index.ts';
import type { MakerLine, MakerMaterial, Printable } from './makerOutput.ts';
import type { Turns, Variant } from './variant.ts';

/** Said, done or asked, and answered in a child's time. */
const SECONDS_A_LINE = 25;
/** How much longer a turn takes than sitting at a table. */
const SLOWER: Readonly<Record<Variant, number>> = {
  sitting: 1,
  'moving-about': 1.6,
  'as-a-game': 1.5,
  'two-children': 1.4,
  'during-the-day': 0.5,
  'five-minutes': 0.4,
};
const MOST_FOR_FIVE = 5;

/**
 * Minutes of a maker's part in a way of running it, in whole minutes: least, likely and most. What is cut and laid out counts
 * as setting up; the day and the short run use what lies there.
 */
export function runMinutes({
  variant,
  lines,
  turns,
  materials,
  printable,
  wait,
  known,
}: {
  readonly variant: Variant;
  /** Of the level that is just right. */
  readonly lines: readonly MakerLine[];
  readonly turns: Turns;
  readonly materials: readonly MakerMaterial[];
  readonly printable: Printable;
  readonly wait?: Triple | undefined;
  readonly known?: Triple | undefined;
}): Segment['minutes'] {
  const said = lines.filter(({ kind, role }) => kind !== 'if' && role === undefined).length;
  const likely = (said * SECONDS_A_LINE + turns.count * turns.seconds * SLOWER[variant]) / 60;
  const isQuick = variant === 'during-the-day' || variant === 'five-minutes';
  const cutting = printable.cards.length * 0.15 + printable.sheets.length;
  return {
    setup: spread(isQuick ? 0.4 : 0.5 + materials.length * 0.5 + cutting),
    together: known && !isQuick ? known : spread(variant === 'five-minutes' ? Math.min(MOST_FOR_FIVE, likely) : likely),
    alone: variant === 'sitting' ? [0, 3, 8] : variant === 'two-children' ? [0, 4, 10] : [0, 0, 0],
    tidy: spread(isQuick ? 0.4 : 0.3 + materials.length * 0.3),
    ...(wait && !isQuick && { wait }),
  };
}

function spread(likely: number): TripleOfQuantities {
  const middle = Math.max(1, Math.round(likely));
  return [Math.max(likely < 1 ? 0 : 1, Math.round(middle * 0.6)), middle, Math.ceil(middle * 1.6)];
}
