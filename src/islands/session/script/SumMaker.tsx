import { useState } from 'react';
import { isNumberDial, type Segment } from '../../../core/session/index.ts';

const SIGNS = [
  ['+', 'and'],
  ['-', 'less'],
  ['*', 'times'],
  ['/', 'shared by'],
] as const;

interface SumMakerProps {
  readonly segment: Segment;
  readonly onMake: (source: string) => void;
  readonly onClose: () => void;
}

/** A number that follows from another: it is put into the line and turns with it. */
export function SumMaker({ segment, onMake, onClose }: SumMakerProps) {
  const dials = segment.dials.filter(isNumberDial);
  const [dial, setDial] = useState(dials[0]?.name ?? '');
  const [sign, setSign] = useState<string>('*');
  const [other, setOther] = useState('2');
  const isOther =
    dials.some(({ name }) => name === other) || (/^\d{1,3}$/.test(other) && !(sign === '/' && Number(other) === 0));
  const chosen = dials.find(({ name }) => name === dial);
  return (
    <div
      className="mt-2 flex flex-wrap items-center gap-2"
      role="group"
      aria-label="A sum"
      onKeyDown={(event) => {
        if (event.key === 'Enter' && isOther && chosen) {
          event.preventDefault();
          onMake(`{=${dial}${sign}${other}}`);
        }
      }}
    >
      <Choice
        isFirst
        label="the number"
        value={dial}
        words={dials.map(({ name, label }) => [name, label] as const)}
        onChoose={setDial}
      />
      <Choice label="and what is done with it" value={sign} words={SIGNS} onChoose={setSign} />
      <input
        className="input input-sm w-20"
        aria-label="the other number"
        inputMode="numeric"
        value={other}
        maxLength={3}
        onChange={({ target }) => setOther(target.value)}
      />
      <button
        type="button"
        className="btn btn-primary btn-sm"
        disabled={!isOther || !chosen}
        onClick={() => onMake(`{=${dial}${sign}${other}}`)}
      >
        Put it in
      </button>
      <button type="button" className="btn btn-outline btn-sm" onClick={onClose}>
        Leave it
      </button>
    </div>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly words: readonly (readonly [string, string])[];
  readonly isFirst?: boolean;
  readonly onChoose: (value: string) => void;
}

function Choice({ label, value, words, isFirst = false, onChoose }: ChoiceProps) {
  return (
    <select
      autoFocus={isFirst}
      className="select select-sm w-auto"
      aria-label={label}
      value={value}
      onChange={({ target }) => onChoose(target.value)}
    >
      {words.map(([name, shown]) => (
        <option key={name} value={name}>
          {shown}
        </option>
      ))}
    </select>
  );
}
