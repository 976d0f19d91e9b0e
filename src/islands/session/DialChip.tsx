import { type ChoiceDial, choiceWord, type Dial, isNumberDial, type NumberDial } from '../../core/session/index.ts';
import { flushSync } from 'react-dom';
import { useLayoutEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

interface DialChipProps {
  readonly dial: Dial;
  readonly onTurn: (value: number | string) => void;
  readonly mayWrite: boolean;
  /** It stands in text that is written in, where arrows and Enter lead into it and Tab does not. */
  readonly isInText?: boolean | undefined;
}

/** A dial inside a sentence: dragged sideways, turned with the arrow keys, or typed. */
export function DialChip({ dial, onTurn, mayWrite, isInText }: DialChipProps) {
  if (!mayWrite) return <span className="dial">{dial.value}</span>;
  return isNumberDial(dial) ? (
    <NumberChip {...{ dial, onTurn, isInText }} />
  ) : (
    <ChoiceChip {...{ dial, onTurn, isInText }} />
  );
}

const PIXELS_PER_STEP = 16;

interface ChipProps<Kind extends Dial> {
  readonly dial: Kind;
  readonly onTurn: (value: Kind['value']) => void;
  readonly isInText: boolean | undefined;
}

function NumberChip({ dial, onTurn, isInText }: ChipProps<NumberDial>) {
  const [typed, setTyped] = useState<string | null>(null);
  const chip = useRef<HTMLSpanElement>(null);

  // What was asked for last: two keys may come before the number is drawn anew; drawn as it was where that was refused.
  const asked = useRef(dial.value);
  useLayoutEffect(() => {
    asked.current = dial.value;
  });

  const turnTo = (value: number) => {
    const within = Math.min(dial.max, Math.max(dial.min, value));
    if (within === asked.current) return;
    asked.current = within;
    onTurn(within);
  };
  const dragging = useDragging(dial.value, turnTo);
  const onKeyDown = (event: KeyboardEvent) => {
    const target = targetOfKey(event.key, dial, asked.current);
    if (/^\d$/.test(event.key)) setTyped(event.key);
    else if (event.key === 'Enter') setTyped(String(dial.value));
    else if (target === null) return;
    else turnTo(target);
    event.preventDefault();
    event.stopPropagation();
  };
  const commit = () => {
    if (typed !== null && typed.trim() !== '') onTurn(Number(typed));
    setTyped(null);
  };
  // Who goes elsewhere by a press is not fetched back; who ends with a key stays where they are.
  const end = (isKept: boolean) => {
    flushSync(isKept ? commit : () => setTyped(null));
    chip.current?.focus();
  };

  if (typed !== null) return <TypedDial {...{ dial, typed }} onType={setTyped} onCommit={commit} onEnd={end} />;
  return (
    <span
      ref={chip}
      className="dial"
      role="spinbutton"
      tabIndex={isInText ? -1 : 0}
      aria-label={dial.label}
      aria-valuenow={dial.value}
      aria-valuemin={dial.min}
      aria-valuemax={dial.max}
      title={`${dial.label}: ${dial.min} to ${dial.max}. Drag sideways, use the arrow keys, or type.`}
      onKeyDown={onKeyDown}
      {...dragging}
      onClick={(event) => event.stopPropagation()}
    >
      {dial.value}
    </span>
  );
}

/** Turns a number by so many pixels sideways a step. */
function useDragging(value: number, turnTo: (value: number) => void) {
  const drag = useRef<{ fromX: number; fromValue: number } | null>(null);
  const end = () => {
    drag.current = null;
  };
  return {
    onPointerDown: (event: PointerEvent<HTMLSpanElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { fromX: event.clientX, fromValue: value };
    },
    onPointerMove: (event: PointerEvent) => {
      if (!drag.current) return;
      turnTo(drag.current.fromValue + Math.round((event.clientX - drag.current.fromX) / PIXELS_PER_STEP));
    },
    onPointerUp: end,
    onPointerCancel: end,
  };
}

interface TypedDialProps {
  readonly dial: NumberDial;
  readonly typed: string;
  readonly onType: (typed: string) => void;
  readonly onCommit: () => void;
  /** Ended by a key: with what was typed, or with what there was before. */
  readonly onEnd: (isKept: boolean) => void;
}

/** A number dial while its value is typed. */
function TypedDial({ dial, typed, onType, onCommit, onEnd }: TypedDialProps) {
  return (
    <input
      className="w-[3.2rem] text-center font-bold bg-marigold-ground border-b-2 border-marigold-ink"
      autoFocus
      inputMode="numeric"
      aria-label={`${dial.label}, ${dial.min} to ${dial.max}`}
      value={typed}
      onChange={(event) => onType(event.target.value)}
      onBlur={onCommit}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key !== 'Enter' && event.key !== 'Escape') return;
        event.preventDefault();
        onEnd(event.key === 'Enter');
      }}
    />
  );
}

function targetOfKey(key: string, { min, max }: NumberDial, value: number): number | null {
  if (key === 'ArrowUp' || key === 'ArrowRight') return value + 1;
  if (key === 'ArrowDown' || key === 'ArrowLeft') return value - 1;
  if (key === 'Home') return min;
  if (key === 'End') return max;
  return null;
}

function ChoiceChip({ dial, onTurn, isInText }: ChipProps<ChoiceDial>) {
  return (
    <select
      className="dial cursor-pointer appearance-none [font:inherit] font-bold"
      aria-label={dial.label}
      tabIndex={isInText ? -1 : undefined}
      value={dial.value}
      onChange={(event) => onTurn(event.target.value)}
      onClick={(event) => event.stopPropagation()}
    >
      {dial.choices.map((choice) => (
        <option key={choice} value={choice}>
          {choiceWord(dial, choice)}
        </option>
      ))}
    </select>
  );
}
