import { dialValues, type Edit, type Segment } from '../../core/session/index.ts';
import { evaluateQuantity, type Quantity } from '../../core/expressions/index.ts';
import { useState } from 'react';
import { describeExpressionProblem } from '../../messages/expressions.ts';

const PARTS = [
  { part: 'setup', word: 'setting up' },
  { part: 'together', word: 'together' },
  { part: 'alone', word: 'alone' },
  { part: 'tidy', word: 'tidying' },
  { part: 'wait', word: 'drying or rising' },
] as const;
/** A part in which nothing dries says no minutes for it until somebody writes some. */
const NO_WAIT: readonly Quantity[] = [0, 0, 0];
const WHICH = ['least', 'likely', 'most'] as const;

/** The minutes of a part as least, likely and most: numbers, or sums over its dials. */
export function MinutesEditor({ segment, onEdit }: { segment: Segment; onEdit: (edit: Edit) => void }) {
  const [problem, setProblem] = useState('');
  const change = (part: (typeof PARTS)[number]['part'], index: number, typed: string) => {
    const quantity: Quantity = typed.trim() !== '' && !Number.isNaN(Number(typed)) ? Number(typed) : typed.trim();
    const evaluation = evaluateQuantity(quantity, dialValues(segment.dials));
    if (!evaluation.ok) {
      setProblem(`${describeExpressionProblem(evaluation.problem)}; the minutes stay as they were.`);
      return;
    }
    setProblem('');
    const before = segment.minutes[part] ?? NO_WAIT;
    const minutes = before.map((kept, at) => (at === index ? quantity : kept)) as [Quantity, Quantity, Quantity];
    if (before[index] !== quantity) onEdit({ do: 'time-segment', segment: segment.id, part, minutes });
  };
  return (
    <details className="minutes-editor [&_summary]:text-teal [&_summary]:cursor-pointer [&_summary]:underline [&_summary]:underline-offset-[3px] [&_summary]:list-none [&_table]:absolute [&_table]:right-0 [&_table]:top-full [&_table]:z-5 [&_table]:bg-sheet [&_table]:border [&_table]:border-ink [&_table]:[border-spacing:0.4rem] [&_table]:border-separate [&_th]:font-semibold [&_th]:text-left [&_th]:whitespace-nowrap [&_input]:w-26 max-[480px]:[&_input]:w-16 [&_input]:border-b [&_input]:border-b-soft [&_p]:text-red">
      <summary aria-label={`minutes of ${segment.title}`}>minutes</summary>
      <table>
        <thead>
          <tr>
            <td />
            {WHICH.map((word) => (
              <th key={word} scope="col">
                {word}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {PARTS.map(({ part, word }) => (
            <tr key={part}>
              <th scope="row">{word}</th>
              {WHICH.map((which, index) => (
                <td key={which}>
                  <input
                    className="input input-sm"
                    key={String((segment.minutes[part] ?? NO_WAIT)[index])}
                    aria-label={`${word}, ${which}`}
                    defaultValue={String((segment.minutes[part] ?? NO_WAIT)[index])}
                    onBlur={(event) => change(part, index, event.target.value)}
                    onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {problem && <p role="alert">{problem}</p>}
    </details>
  );
}
