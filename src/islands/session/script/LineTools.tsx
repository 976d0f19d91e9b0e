import { type MouseEvent, type ReactNode, useContext } from 'react';
import { LINE_KINDS, type LineKind } from '../../../core/session/index.ts';
import { CarryContext } from './carrying.ts';
import type { LineBarProps } from './scriptProps.ts';
import { type LineAt, putInsOf } from './lineAt.ts';
import { caretLine, carried, duplicate, putIn, takeOut } from './lineCommands.ts';

/** A press of it leaves the caret, and the keys of a phone, where they are. */
const keepCaret = (event: MouseEvent) => event.preventDefault();

const TOOL =
  'min-h-7 px-1 text-teal cursor-pointer underline underline-offset-[3px] bg-transparent pointer-coarse:min-h-11';

/** A tool of the line. */
export function Tool({ onPress, isOffer, children }: { onPress: () => void; isOffer?: boolean; children: ReactNode }) {
  return (
    <button
      type="button"
      className={isOffer ? `${TOOL} font-semibold text-ink bg-marigold-ground px-2` : TOOL}
      onMouseDown={keepCaret}
      onClick={onPress}
    >
      {children}
    </button>
  );
}

/** The kinds a line can be, to be pressed. */
export function Kinds({ kind, onChoose }: { kind: LineKind; onChoose: (kind: LineKind) => void }) {
  return (
    <span role="group" aria-label="This line" className="inline-flex flex-wrap">
      {LINE_KINDS.map((word) => (
        <button
          key={word}
          type="button"
          className="min-h-7 px-1.5 font-heading font-semibold text-teal cursor-pointer aria-pressed:text-ink aria-pressed:bg-teal-ground pointer-coarse:min-h-11 pointer-coarse:min-w-11"
          aria-pressed={word === kind}
          tabIndex={word === kind ? 0 : -1}
          onMouseDown={keepCaret}
          onClick={() => onChoose(word)}
          onKeyDown={({ key, currentTarget }) => {
            const next =
              key === 'ArrowRight' ? currentTarget.nextSibling : key === 'ArrowLeft' && currentTarget.previousSibling;
            if (next instanceof HTMLElement) next.focus();
          }}
        >
          {word}
        </button>
      ))}
    </span>
  );
}

/** What may be put into the line as a block. */
export function PutInMenu({ editor, part, things, onSum }: LineBarProps & { onSum: () => void }) {
  const offered = putInsOf(part.segment, things);
  return (
    <select
      className={`${TOOL} appearance-none max-w-40 field-sizing-content`}
      aria-label="Put into the line"
      value=""
      onChange={({ target }) => {
        if (target.value === 'sum') return onSum();
        const chosen = offered.find(({ source }) => source === target.value);
        return chosen && putIn(editor, chosen, 0);
      }}
    >
      <option value="">put in …</option>
      {offered.map(({ source, words }) => (
        <option key={source} value={source}>
          {words}
        </option>
      ))}
      {part.segment.dials.length > 0 && <option value="sum">a sum …</option>}
    </select>
  );
}

/** What can be done with the line as it stands. */
export function LineTools({
  editor,
  part,
  things,
  line,
  onEdit,
  flush,
  onWords,
  onNote,
}: LineBarProps & { line: LineAt; onWords: () => void; onNote: () => void }) {
  const others = useContext(CarryContext);
  const { segment } = part;
  const move = (by: number) => {
    flush();
    const at = caretLine(editor);
    onEdit({ do: 'move-line', segment: segment.id, line: at.id, to: at.index + by });
  };
  return (
    <>
      <Tool onPress={onWords}>words</Tool>
      <Tool onPress={() => move(-1)}>up</Tool>
      <Tool onPress={() => move(1)}>down</Tool>
      <select
        className={`${TOOL} appearance-none max-w-40 field-sizing-content`}
        aria-label="Move the line to another part"
        value=""
        onChange={({ target }) => {
          flush();
          const to = others.find(({ id }) => id === target.value);
          if (to) onEdit(carried(editor, part, { to, things }));
        }}
      >
        <option value="">move to …</option>
        {others
          .filter(({ id }) => id !== segment.id)
          .map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
      </select>
      <ForWhom {...{ part, line, flush, onEdit }} />
      <Tool onPress={onNote}>note</Tool>
      <Tool onPress={() => duplicate(editor)}>copy</Tool>
      <Tool onPress={() => takeOut(editor)}>take out</Tool>
    </>
  );
}

/** Whose a line is where there are two children. */
function ForWhom({ part, line, flush, onEdit }: Pick<LineBarProps, 'part' | 'flush' | 'onEdit'> & { line: LineAt }) {
  const role = part.lines.find((composed) => composed.line.id === line.id)?.line.role ?? '';
  return (
    <select
      className={`${TOOL} appearance-none max-w-40 field-sizing-content`}
      aria-label="Whose line it is where there are two children"
      value={role}
      onChange={({ target }) => {
        flush();
        const chosen = target.value === 'older' || target.value === 'younger' ? target.value : undefined;
        onEdit({ do: 'change-line', segment: part.segment.id, line: line.id, change: { role: chosen } });
      }}
    >
      <option value="">for everyone</option>
      <option value="older">for the older child</option>
      <option value="younger">for the little one</option>
    </select>
  );
}
