import { dialValues, type Segment, type TripleOfQuantities } from '../session/index.ts';
import { type Outcome, err, ok } from '../outcome.ts';
import { evaluateQuantity, type ExpressionProblem, type Scope } from '../expressions/index.ts';
import type { Triple } from '../numbers/index.ts';

const NO_MINUTES: Triple = [0, 0, 0];

/** The minutes of a part, worked out: least, likely and most of each of its times. */
export interface TimesOfSegment {
  readonly setup: Triple;
  readonly together: Triple;
  readonly alone: Triple;
  readonly tidy: Triple;
  /** What dries, rises or freezes meanwhile; absent where nothing does. */
  readonly wait?: Triple | undefined;
  /** Which of its minutes have no value, and why. */
  readonly minutesProblem?:
    { readonly part: keyof Segment['minutes']; readonly problem: ExpressionProblem } | undefined;
}

/** The minutes of an activity with its dials as they stand (or with other values). What has no value counts nothing and is named. */
export function evaluateMinutes(
  activity: Pick<Segment, 'minutes' | 'dials'> & { readonly values?: Scope },
): TimesOfSegment {
  const values = activity.values ?? dialValues(activity.dials);
  const minutes: Record<'setup' | 'together' | 'alone' | 'tidy', Triple> & { wait?: Triple } = {
    setup: NO_MINUTES,
    together: NO_MINUTES,
    alone: NO_MINUTES,
    tidy: NO_MINUTES,
  };
  let minutesProblem: TimesOfSegment['minutesProblem'];
  for (const part of ['setup', 'together', 'alone', 'tidy', 'wait'] as const) {
    const written = activity.minutes[part];
    if (!written) continue;
    const triple = evaluateTriple(written, values);
    if (triple.ok) minutes[part] = triple.value;
    else minutesProblem ??= { part, problem: triple.problem };
  }
  return { ...minutes, minutesProblem };
}

function evaluateTriple(triple: TripleOfQuantities, values: Scope): Outcome<Triple, ExpressionProblem> {
  const numbers: number[] = [];
  for (const quantity of triple) {
    const evaluation = evaluateQuantity(quantity, values);
    if (!evaluation.ok) return err(evaluation.problem);
    numbers.push(Math.max(evaluation.value, numbers.at(-1) ?? 0));
  }
  return ok([numbers[0]!, numbers[1]!, numbers[2]!]);
}
