import { PANEL } from './panelLook.ts';
import { type School, SCHOOLS, type Term, type TermEdit } from '../../core/terms/index.ts';
import { firstSteps } from '../../messages/steps.ts';
import { SCHOOL_WORDS } from '../../messages/term.ts';

interface SequencePanelProps {
  readonly term: Term;
  readonly stepsLeft: readonly string[];
  readonly mayWrite: boolean;
  readonly soundOrder: string | undefined;
  readonly onEdit: (edit: TermEdit) => void;
}

/** The skill sequence that runs beside the themes: its school, its steps, and what does not fit before the end. */
export function SequencePanel({ term, stepsLeft, mayWrite, soundOrder, onEdit }: SequencePanelProps) {
  const { name, why } = SCHOOL_WORDS[term.school];
  return (
    <details className={PANEL}>
      <summary>
        The sequence <span className="text-soft">{name}</span>
        {stepsLeft.length > 0 && <span className="text-xs text-mulberry"> {stepsLeft.length} steps after the end</span>}
      </summary>
      <label>
        school{' '}
        <select
          className="select select-sm"
          value={term.school}
          disabled={!mayWrite}
          onChange={({ target }) => {
            const school = target.value as School;
            onEdit({ do: 'choose-school', school, steps: firstSteps(school, soundOrder) });
          }}
        >
          {SCHOOLS.map((school) => (
            <option key={school} value={school}>
              {SCHOOL_WORDS[school].name}
            </option>
          ))}
        </select>
      </label>
      <p className="text-soft text-sm">{why}</p>
      <label className="grid max-w-144">
        steps, one to a line, one for each week with a session
        <textarea
          className="textarea"
          key={term.steps.join('\n')}
          defaultValue={term.steps.join('\n')}
          rows={8}
          readOnly={!mayWrite}
          onBlur={({ target }) => {
            const steps = target.value
              .split('\n')
              .map((step) => step.trim().slice(0, 120))
              .filter(Boolean);
            if (steps.join('\n') !== term.steps.join('\n')) onEdit({ do: 'set-steps', steps });
          }}
        />
      </label>
      {stepsLeft.length > 0 && (
        <p className="text-sm">
          For the next term: {stepsLeft.slice(0, 8).join(' · ')}
          {stepsLeft.length > 8 && ' …'}
        </p>
      )}
    </details>
  );
}
