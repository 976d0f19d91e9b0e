import { amountAtLevel, dialValues, type Edit, type Segment } from '../../core/session/index.ts';
import { amountFor, namesOf, type Need, type ThingsByKey } from '../../core/materials/index.ts';
import { evaluateQuantity, type Quantity, roundUp } from '../../core/expressions/index.ts';
import { countThing } from '../../messages/fits.ts';
import { useState } from 'react';
import { ThingToAdd } from './ThingToAdd.tsx';
import { describeExpressionProblem } from '../../messages/expressions.ts';

interface NeedsEditorProps {
  readonly segment: Segment;
  readonly things: ThingsByKey;
  readonly onEdit: (edit: Edit) => void;
}

/** What a part needs: things picked by name, how many, for whom, and whether they are used up. */
export function NeedsEditor({ segment, things, onEdit }: NeedsEditorProps) {
  const [problem, setProblem] = useState('');
  return (
    <details className="[&_summary]:text-teal [&_summary]:cursor-pointer [&_summary]:underline [&_summary]:underline-offset-[3px] [&_summary]:list-none [&_p[role='alert']]:text-red [&_ul]:grid [&_ul]:gap-[0.35rem] ">
      <summary aria-label={`needs of ${segment.title}`}>needs</summary>
      <div className="absolute z-5 right-0 top-full w-[min(46rem,_90vw)] py-[0.6rem] px-[0.8rem] bg-sheet border border-ink">
        <ul>
          {segment.needs.map((need) => (
            <li key={need.id}>
              <NeedRow
                {...{ need, segment, onEdit }}
                name={namesOf(need.item, things).many}
                things={things}
                onProblem={setProblem}
              />
            </li>
          ))}
        </ul>
        <ThingToAdd
          choices={Object.values(things)}
          onAdd={(item) => onEdit({ do: 'add-need', segment: segment.id, item })}
          onProblem={setProblem}
        />
        {problem && <p role="alert">{problem}</p>}
      </div>
    </details>
  );
}

interface NeedRowProps extends NeedsEditorProps {
  readonly need: Need;
  readonly name: string;
  /** Says what is wrong; nothing when all is well again. */
  readonly onProblem: (problem: string) => void;
}

function NeedRow({ need, name, segment, things, onEdit, onProblem }: NeedRowProps) {
  const asked = need.taken ? namesOf(need.taken.from, things).many : name;
  const change = (to: Partial<Need>) => onEdit({ do: 'change-need', segment: segment.id, need: need.id, change: to });
  const setQty = (typed: string) => {
    const qty: Quantity = typed.trim() !== '' && !Number.isNaN(Number(typed)) ? Number(typed) : typed.trim();
    const evaluation = evaluateQuantity(qty, dialValues(segment.dials));
    onProblem(evaluation.ok ? '' : `${describeExpressionProblem(evaluation.problem)}; the amount stays as it was.`);
    if (evaluation.ok && qty !== need.qty) change({ qty });
  };
  return (
    <>
      <input
        key={String(need.qty)}
        className="input input-sm w-28"
        aria-label={`How many ${asked}`}
        defaultValue={String(need.qty)}
        onBlur={(event) => setQty(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />{' '}
      <strong>{asked}</strong>
      {need.taken && <TakenNote {...{ need, segment, things, asked, onEdit }} />}{' '}
      <select
        className="select select-sm w-auto"
        aria-label={`${name}: for whom`}
        value={need.per}
        onChange={({ target }) => change({ per: target.value as Need['per'] })}
      >
        <option value="home">for each home</option>
        <option value="child">for each child</option>
      </select>{' '}
      <select
        className="select select-sm w-auto"
        aria-label={`${name}: what becomes of them`}
        value={need.use}
        onChange={({ target }) => change({ use: target.value as Need['use'] })}
      >
        <option value="lasting">kept after use</option>
        <option value="used-up">used up</option>
      </select>{' '}
      <Tick
        isOn={need.optional ?? false}
        onTurn={(isOn) => change({ optional: isOn || undefined })}
        words="can be done without"
      />{' '}
      <Tick isOn={need.eaten ?? false} onTurn={(isOn) => change({ eaten: isOn || undefined })} words="is eaten" />{' '}
      <button
        type="button"
        aria-label={`take out ${name}`}
        onClick={() => onEdit({ do: 'remove-need', segment: segment.id, need: need.id })}
      >
        take out
      </button>
    </>
  );
}

/** A yes or no about a need. */
function Tick({ isOn, onTurn, words }: { isOn: boolean; onTurn: (isOn: boolean) => void; words: string }) {
  return (
    <label className="whitespace-nowrap">
      <input
        className="checkbox checkbox-sm"
        type="checkbox"
        checked={isOn}
        onChange={({ target }) => onTurn(target.checked)}
      />{' '}
      {words}
    </label>
  );
}

interface TakenNoteProps extends Pick<NeedRowProps, 'need' | 'segment' | 'things' | 'onEdit'> {
  /** What the script asked for, as many. */
  readonly asked: string;
}

/** What will do instead of what was asked for, and the way back. */
function TakenNote({ need, segment, things, asked, onEdit }: TakenNoteProps) {
  const amount = amountFor(amountAtLevel(segment, need, segment.level, things), 1, dialValues(segment.dials));
  const putBack = () => onEdit({ do: 'use-swap', segment: segment.id, need: need.id, item: need.taken!.from });
  return (
    <>
      {' '}
      are asked for; <strong>{countThing(need.item, amount.ok ? roundUp(amount.value) : 0, things)}</strong> will do
      instead.{' '}
      <button type="button" onClick={putBack}>
        put {asked} back
      </button>
    </>
  );
}
