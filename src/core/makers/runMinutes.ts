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

/** What a part's minutes are worked out from. */
interface RunTime {
  readonly variant: Variant;
  /** Of the level that is just right. */
  readonly lines: readonly MakerLine[];
  readonly turns: Turns;
  readonly materials: readonly MakerMaterial[];
  readonly printable: Printable;
  readonly wait?: Triple | undefined;
  readonly known?: Triple | undefined;
}

/**
 * Minutes of a maker's part in a way of running it, in whole minutes: least, likely and most. What is cut and laid out counts
 * as setting up; the day and the short run use what lies there.
 */
export function runMinutes({ variant, lines, turns, materials, printable, wait, known }: RunTime): Segment['minutes'] {
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

/** Minutes of a way of playing: what is said, and the work that its turns are. What is cut and put out counts as setting up. */
export function playMinutes({
  lines,
  turns,
  materials,
  printable,
  wait,
}: Omit<RunTime, 'variant' | 'known'>): Segment['minutes'] {
  const cutting = printable.cards.length * 0.15 + printable.sheets.length;
  return {
    setup: spread(0.5 + materials.length * 0.4 + cutting),
    together: spread((spokenLines(lines) * SECONDS_A_LINE + turns.count * turns.seconds) / 60),
    alone: [0, 0, 0],
    tidy: spread(0.3 + materials.length * 0.3),
    ...(wait && { wait }),
  };
}

/** Lines that are said or done in any case: not what is said only if something happens, nor what only a second child does. */
function spokenLines(lines: readonly MakerLine[]): number {
  return lines.filter(({ kind, role }) => kind !== 'if' && kind !== 'notice' && role === undefined).length;
}

function spread(likely: number): TripleOfQuantities {
  const middle = Math.max(1, Math.round(likely));
  return [Math.max(likely < 1 ? 0 : 1, Math.round(middle * 0.6)), middle, Math.ceil(middle * 1.6)];
}
