import { choiceWord, dialHint, dialLabel } from '../../messages/makers.ts';
import type { MakerValues } from '../../core/session/index.ts';
import { useEffect, useState } from 'react';
import { dialsOf, type Maker, type MakerDial } from '../../core/makers/index.ts';

interface MakerDialsProps {
  readonly maker: Maker;
  readonly values: MakerValues;
  readonly onTurn: (name: string, value: number | string) => void;
}

/** The dials of a maker: numbers slide or are typed, choices are chosen, short lists are written. */
export function MakerDials({ maker, values, onTurn }: MakerDialsProps) {
  return (
    <div className="grid gap-[0.7rem] my-[0.8rem] mx-0">
      {dialsOf(maker).map((dial) => (
        <DialField
          key={dial.name}
          maker={maker.id}
          dial={dial}
          value={values[dial.name]!}
          onTurn={(value) => onTurn(dial.name, value)}
        />
      ))}
    </div>
  );
}

function DialField({
  maker,
  dial,
  value,
  onTurn,
}: {
  maker: string;
  dial: MakerDial;
  value: number | string;
  onTurn: (value: number | string) => void;
}) {
  const label = dialLabel(maker, dial.name);
  switch (dial.kind) {
    case 'number':
      return (
        <div className="grid grid-cols-[1fr_auto] gap-x-2.5 gap-y-0.5 items-baseline font-heading font-semibold text-sm">
          <label htmlFor={`dial-${dial.name}`}>{label}</label>
          <TypedNumber dial={dial} value={value as number} onTurn={onTurn} />
          <input
            className="range range-xs text-marigold-ink col-span-full w-full"
            type="range"
            aria-label={`${label}, ${dial.min} to ${dial.max}`}
            min={dial.min}
            max={dial.max}
            value={value}
            onChange={({ target }) => onTurn(target.valueAsNumber)}
          />
        </div>
      );
    case 'choice':
      return (
        <label className="grid gap-y-0.5 font-heading font-semibold text-sm">
          {label}
          <select
            className="select select-sm w-full bg-marigold-ground text-marigold-ink"
            value={value}
            onChange={({ target }) => onTurn(target.value)}
          >
            {dial.choices.map((choice) => (
              <option key={choice} value={choice}>
                {choiceWord(maker, choice)}
              </option>
            ))}
          </select>
        </label>
      );
    case 'list':
      return (
        <label className="grid gap-y-0.5 font-heading font-semibold text-sm">
          {label}
          <TypedList value={String(value)} onTurn={onTurn} />
          <span className="text-sm font-normal text-soft">{dialHint(maker, dial.name)}</span>
        </label>
      );
  }
}

/** What is typed is handed on as it is, so that the refusal can name it; on leaving, what stands is shown again. */
function TypedNumber({
  dial,
  value,
  onTurn,
}: {
  dial: Extract<MakerDial, { kind: 'number' }>;
  value: number;
  onTurn: (value: number | string) => void;
}) {
  const [typed, setTyped] = useState(String(value));
  useEffect(() => setTyped(String(value)), [value]);
  return (
    <input
      id={`dial-${dial.name}`}
      className="input input-sm w-16 text-right bg-marigold-ground text-marigold-ink"
      inputMode="numeric"
      value={typed}
      maxLength={12}
      onChange={({ target }) => {
        setTyped(target.value);
        if (target.value.trim() === '') return;
        const number = Number(target.value);
        onTurn(Number.isFinite(number) ? number : target.value);
      }}
      onBlur={() => {
        if (typed === String(value)) return;
        setTyped(String(value));
        onTurn(value);
      }}
    />
  );
}

function TypedList({ value, onTurn }: { value: string; onTurn: (value: string) => void }) {
  const [typed, setTyped] = useState(value);
  return (
    <input
      className="input input-sm w-full bg-marigold-ground text-marigold-ink"
      value={typed}
      maxLength={400}
      onChange={({ target }) => {
        setTyped(target.value);
        onTurn(target.value);
      }}
    />
  );
}
