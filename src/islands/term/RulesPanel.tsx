import { sayScreen } from '../../messages/screenWords.ts';
import { PANEL } from './panelLook.ts';
import { LANGUAGE_SKILLS, NUMBER_SKILLS, OTHER_SKILLS } from '../../core/ladders/index.ts';
import type { Term, TermEdit } from '../../core/terms/index.ts';
import { skillWords } from '../../messages/skills.ts';

interface RulesPanelProps {
  readonly term: Term;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: TermEdit) => void;
}

const GROUPS = [
  { word: 'Number', skills: NUMBER_SKILLS },
  { word: 'Language', skills: LANGUAGE_SKILLS },
  { word: 'Beside them', skills: OTHER_SKILLS },
] as const;

/** What a proposal aims for: visits to each skill, activities in a session, how often one comes back. */
export function RulesPanel({ term, mayWrite, onEdit }: RulesPanelProps) {
  const { targets } = term.rules;
  const visits = Object.values(targets).reduce((sum, times) => sum + times, 0);
  const setTarget = (skill: string, times: number) =>
    Number.isInteger(times) &&
    times >= 0 &&
    times <= 60 &&
    onEdit({ do: 'set-rules', rules: { targets: { ...targets, [skill]: times } } });
  return (
    <details className={PANEL}>
      <summary>
        What to aim for <span className="text-soft">{sayScreen('count.turns-in-term', { count: visits })}</span>
      </summary>
      <HowMany rules={term.rules} mayWrite={mayWrite} onSet={(rules) => onEdit({ do: 'set-rules', rules })} />
      <div className="grid grid-cols-[repeat(auto-fit,minmax(17rem,1fr))] gap-y-2 gap-x-8 [&_fieldset]:columns-[2_11rem] [&_legend]:font-heading [&_legend]:font-semibold [&_legend]:[column-span:all]">
        {GROUPS.map(({ word, skills }) => (
          <fieldset key={word}>
            <legend>{word}: how often in the term</legend>
            {skills.map((skill) => (
              <NumberField
                key={skill}
                label={skillWords(skill)}
                value={targets[skill] ?? 0}
                most={60}
                {...{ mayWrite }}
                onSet={(times) => setTarget(skill, times)}
              />
            ))}
          </fieldset>
        ))}
      </div>
    </details>
  );
}

interface HowManyProps {
  readonly rules: Term['rules'];
  readonly mayWrite: boolean;
  readonly onSet: (rules: Partial<Term['rules']>) => void;
}

function HowMany({ rules: { perSlot, repeat, rest }, mayWrite, onSet }: HowManyProps) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4.5 gap-y-2 py-1.5">
      <NumberField
        label="activities in a session, at least"
        value={perSlot[0]}
        most={perSlot[1]}
        {...{ mayWrite }}
        onSet={(least) => onSet({ perSlot: [least, perSlot[1]] })}
      />
      <NumberField
        label="at most"
        value={perSlot[1]}
        least={Math.max(1, perSlot[0])}
        most={8}
        {...{ mayWrite }}
        onSet={(most) => onSet({ perSlot: [perSlot[0], most] })}
      />
      <NumberField
        label="an activity comes at most so often"
        value={repeat}
        least={1}
        most={12}
        {...{ mayWrite }}
        onSet={(times) => onSet({ repeat: times })}
      />
      <NumberField
        label="sessions of rest between"
        value={rest}
        most={20}
        {...{ mayWrite }}
        onSet={(sessions) => onSet({ rest: sessions })}
      />
    </div>
  );
}

function NumberField({
  label,
  value,
  least = 0,
  most,
  mayWrite,
  onSet,
}: {
  label: string;
  value: number;
  least?: number;
  most: number;
  mayWrite: boolean;
  onSet: (value: number) => void;
}) {
  return (
    <label className="flex justify-between gap-2 break-inside-avoid py-0.5 items-baseline">
      <span>{label}</span>
      <input
        className="input input-sm w-18"
        type="number"
        min={least}
        max={most}
        value={value}
        readOnly={!mayWrite}
        onChange={({ target }) => {
          const set = target.valueAsNumber;
          if (Number.isInteger(set) && set >= least && set <= most) onSet(set);
        }}
      />
    </label>
  );
}
