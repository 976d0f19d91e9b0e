import { type KeyboardEvent, useState, type ReactNode } from 'react';
import {
  type Edit,
  LEVELS,
  linesAt,
  makeAdjustable,
  type NumberUse,
  rangeFor,
  singularOf,
  type Segment,
  usesOf,
} from '../../core/session/index.ts';
import { namesOf, type ThingsByKey } from '../../core/materials/index.ts';

interface AdjustNumberProps {
  readonly segment: Segment;
  readonly value: number;
  /** The line it was asked for in. */
  readonly text: string;
  readonly things: ThingsByKey;
  readonly onEdit: (edit: Edit) => void;
  readonly onClose: () => void;
}

/** Makes a number of a part adjustable: what it is called, how far it goes, and where it stands. */
export function AdjustNumber({ segment, value, text, things, onEdit, onClose }: AdjustNumberProps) {
  const uses = usesOf(segment, value);
  const suggested = rangeFor(value);
  const [label, setLabel] = useState(
    () => thingCounted(uses, segment, things) ?? wordAfter([text, ...segment.lines.map((line) => line.text)], value),
  );
  const [range, setRange] = useState({ min: String(suggested.min), max: String(suggested.max) });
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [min, max] = [Number(range.min), Number(range.max)];
  const isRange =
    [min, max].every((end) => Number.isInteger(end) && end >= 0 && end <= 999) && min <= value && value <= max;
  const chosen = uses.filter((_, index) => !left.has(index));
  const plurals = usePlurals(chosen);
  const make = () => {
    if (!isRange || chosen.length === 0) return;
    const by = makeAdjustable(
      segment,
      { value, label: label.trim() || 'how many', min, max, one: plurals.ones },
      chosen,
    );
    onEdit({ do: 'replace-segment', segment: segment.id, by });
    onClose();
  };
  const turn = (index: number) => {
    const next = new Set(left);
    if (!next.delete(index)) next.add(index);
    setLeft(next);
  };
  return (
    <div
      className="mt-2 grid max-w-xl gap-2 border border-ink bg-sheet px-4 py-3"
      role="group"
      aria-label={`Make ${value} adjustable`}
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <RangeFields {...{ value, label, range, isRange }} onLabel={setLabel} onRange={setRange} onEnter={make} />
      <Plurals {...plurals} value={value} />
      <UsesList {...{ uses, left, segment, things }} onTurn={turn} />
      <p className="flex gap-3">
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={!isRange || chosen.length === 0}
          onClick={make}
        >
          Make it adjustable
        </button>
        <button type="button" className="btn btn-outline btn-sm" onClick={onClose}>
          Leave it
        </button>
      </p>
    </div>
  );
}

/** The words that go by the number, and what one of each is called: as its ending tells, until somebody says otherwise. */
function usePlurals(chosen: readonly NumberUse[]) {
  const [said, setSaid] = useState<Readonly<Record<string, string>>>({});
  const words = [...new Set(chosen.flatMap((use) => (use.in === 'line' && use.counted ? [use.counted] : [])))];
  const oneOf = (plural: string) => (said[plural] ?? singularOf(plural)).replace(/[{}|:]/g, '');
  const ones = Object.fromEntries(
    words.map((plural) => [plural, oneOf(plural).trim()]).filter(([, one]) => one !== ''),
  );
  return { words, oneOf, ones, onSay: (plural: string, one: string) => setSaid({ ...said, [plural]: one }) };
}

/** What is said when the number is one. */
function Plurals({ words, oneOf, onSay, value }: ReturnType<typeof usePlurals> & { readonly value: number }) {
  return words.map((plural) => (
    <label key={plural} className="flex flex-wrap items-center gap-2 text-sm">
      1
      <input
        className="input input-sm w-32"
        aria-label={`One of the ${plural}`}
        value={oneOf(plural)}
        maxLength={60}
        onChange={({ target }) => onSay(plural, target.value)}
      />
      {value} {plural}: is that right?
    </label>
  ));
}

interface RangeFieldsProps {
  readonly value: number;
  readonly label: string;
  readonly range: { readonly min: string; readonly max: string };
  readonly isRange: boolean;
  readonly onLabel: (label: string) => void;
  readonly onRange: (range: { min: string; max: string }) => void;
  readonly onEnter: () => void;
}

/** What is counted, and from how many to how many. */
function RangeFields({ value, label, range, isRange, onLabel, onRange, onEnter }: RangeFieldsProps) {
  // The text has the keys then, and must not hear this one too.
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    onEnter();
  };
  return (
    <>
      <p className="flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2">
          What is counted
          <input
            autoFocus
            className="input input-sm w-36"
            value={label}
            maxLength={60}
            onChange={({ target }) => onLabel(target.value)}
            onKeyDown={onKeyDown}
          />
        </label>
        {(['min', 'max'] as const).map((end) => (
          <label key={end} className="flex items-center gap-2">
            {end === 'min' ? 'from' : 'to'}
            <input
              className="input input-sm w-20"
              inputMode="numeric"
              value={range[end]}
              onChange={({ target }) => onRange({ ...range, [end]: target.value })}
              onKeyDown={onKeyDown}
            />
          </label>
        ))}
      </p>
      {!isRange && (
        <p className="text-error text-sm" role="alert">
          The range is two whole numbers with {value} between them.
        </p>
      )}
    </>
  );
}

interface UsesListProps extends Pick<AdjustNumberProps, 'segment' | 'things'> {
  readonly uses: readonly NumberUse[];
  /** Those that stay as they are. */
  readonly left: ReadonlySet<number>;
  readonly onTurn: (index: number) => void;
}

/** Every place the number stands, to be left as it is or to turn with it. */
function UsesList({ uses, left, segment, things, onTurn }: UsesListProps) {
  return (
    <ul className="grid gap-1">
      {uses.map((use, index) => (
        <li key={index}>
          <label className="flex items-start gap-2">
            <input
              className="checkbox checkbox-sm"
              type="checkbox"
              checked={!left.has(index)}
              onChange={() => onTurn(index)}
            />
            <span className="text-sm">{placeOf(use, segment, things)}</span>
          </label>
        </li>
      ))}
    </ul>
  );
}

/** Words that may follow a number and are nothing that is counted. */
const NOTHING_COUNTED = new Set([
  'is',
  'are',
  'was',
  'were',
  'of',
  'and',
  'or',
  'in',
  'on',
  'to',
  'at',
  'the',
  'more',
  'times',
]);

/** The thing that there are so many of to fetch; undefined where there is none. */
function thingCounted(uses: readonly NumberUse[], { needs }: Segment, things: ThingsByKey): string | undefined {
  const fetched = uses.find((use) => use.in === 'need');
  const need = fetched && needs.find(({ id }) => id === fetched.need);
  return need && namesOf(need.item, things).many;
}

/** What a number counts, as far as the words after it tell, in this line or else in the others. */
function wordAfter(texts: readonly string[], value: number): string {
  const after = new RegExp(`(?<!\\d)${value}\\s+(\\p{L}{2,})`, 'u');
  const words = texts.flatMap((text) => after.exec(text)?.[1]?.toLowerCase() ?? []);
  return words.find((word) => !NOTHING_COUNTED.has(word)) ?? '';
}

/** Where a number stands, with a few words around it. */
function placeOf(use: NumberUse, segment: Segment, things: ThingsByKey): ReactNode {
  if (use.in === 'need') {
    const need = segment.needs.find(({ id }) => id === use.need)!;
    return `how many ${namesOf(need.item, things).many} to fetch`;
  }
  const line = LEVELS.flatMap((level) => linesAt(segment, level)).find(({ id }) => id === use.line);
  const text = line?.[use.field] ?? '';
  const from = Math.max(0, use.at - CONTEXT);
  const to = use.at + use.said.length;
  const plain = (words: string) => words.replace(/[{}@]/g, '');
  return (
    <>
      {from > 0 && '… '}
      {plain(text.slice(from, use.at))}
      <strong>{use.said}</strong>
      {plain(text.slice(to, to + CONTEXT))}
      {to + CONTEXT < text.length && ' …'}
    </>
  );
}

/** So many characters stand on either side of a number. */
const CONTEXT = 25;
