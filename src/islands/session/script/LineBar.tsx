import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { countThing } from '../../../messages/fits.ts';
import { NoteForm } from '../NoteForm.tsx';
import { backToText } from './caret.ts';
import { type LineAt, putInsOf } from './lineAt.ts';
import { beginAnswer, caretLine, chooseKind, putIn, wordsOfBlock } from './lineCommands.ts';
import { Kinds, LineTools, PutInMenu, Tool } from './LineTools.tsx';
import type { LineBarProps } from './scriptProps.ts';
import { SumMaker } from './SumMaker.tsx';
import { useAboveKeys, useLine } from './useLine.ts';

/** Fetched when it is first asked for. */
const AdjustNumber = lazy(() => import('../AdjustNumber.tsx').then((module) => ({ default: module.AdjustNumber })));
/** The same. */
const WordCheck = lazy(() => import('../WordCheck.tsx').then((module) => ({ default: module.WordCheck })));

type Panel = { readonly is: 'words' | 'sum' | 'note' } | { readonly is: 'adjust'; readonly value: number };

/** The tools of the line that is written in, in one bar at the foot of the window; above the keys of a phone. */
export function LineBar(props: LineBarProps) {
  const { editor, part, things } = props;
  const bar = useRef<HTMLDivElement>(null);
  const [panel, setPanel] = useState<Panel | null>(null);
  const line = useLine(props, bar);
  useEffect(() => setPanel(null), [line?.id]);
  useAboveKeys(bar, line !== null);
  if (!line) return null;
  const backToLine = () => backToText(editor);
  return (
    <div
      ref={bar}
      className="line-bar"
      role="group"
      aria-label={`Line ${line.index + 1} of ${part.segment.title}`}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || event.defaultPrevented) return;
        event.preventDefault();
        if (panel) setPanel(null);
        backToLine();
      }}
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <Kinds kind={line.kind} onChoose={(kind) => chooseKind(editor, caretLine(editor).id, kind)} />
        {line.named && (
          <Tool onPress={() => putIn(editor, line.named!, line.named!.length)} isOffer>
            put in “{line.named.words}”
          </Tool>
        )}
        <Fetches {...props} line={line} />
        {line.numbers.map((value) => (
          <Tool
            key={value}
            onPress={() => {
              props.flush();
              setPanel({ is: 'adjust', value });
            }}
          >
            make {value} adjustable
          </Tool>
        ))}
        {line.kind === 'ask' && !line.hasAnswer && <Tool onPress={() => beginAnswer(editor)}>write the answer</Tool>}
        <PutInMenu {...props} onSum={() => setPanel({ is: 'sum' })} />
        <LineTools
          {...props}
          line={line}
          onWords={() => setPanel({ is: 'words' })}
          onNote={() => {
            props.flush();
            setPanel({ is: 'note' });
          }}
        />
      </div>
      {panel && <LinePanel {...props} {...{ panel, line }} onClose={() => (setPanel(null), backToLine())} />}
      <span className="sr-only" role="status">
        {line.block && `${wordsOfBlock(line.block, putInsOf(part.segment, things))}. Enter opens it.`}
      </span>
    </div>
  );
}

/** Offers what the line names or works with, to be fetched. */
function Fetches({ part, things, line, flush, onEdit }: LineBarProps & { line: LineAt }) {
  return line.toFetch.map(({ item, qty }) => (
    <Tool
      key={item}
      onPress={() => {
        flush();
        onEdit({ do: 'add-need', segment: part.segment.id, item, qty });
      }}
    >
      fetch {countThing(item, qty, things)}
    </Tool>
  ));
}

function LinePanel({
  panel,
  line,
  onClose,
  ...props
}: LineBarProps & { panel: Panel; line: LineAt; onClose: () => void }) {
  const { editor, part, things, wordChecks, onEdit } = props;
  const stored = part.lines.find((composed) => composed.line.id === line.id);
  return (
    <div className="max-h-[45vh] overflow-auto">
      <Suspense>
        {panel.is === 'adjust' && (
          <AdjustNumber
            segment={part.segment}
            value={panel.value}
            text={stored?.line.text ?? ''}
            {...{ things, onEdit, onClose }}
          />
        )}
        {panel.is === 'words' && stored?.text.ok && (
          <WordCheck
            line={stored.line}
            segment={part.segment}
            text={stored.text.value.map((piece) => piece.text).join('')}
            checks={wordChecks}
            {...{ onEdit, onClose }}
          />
        )}
        {panel.is === 'note' && <NoteForm part={part.segment.id} line={line.id} {...{ onEdit, onClose }} />}
        {panel.is === 'sum' && (
          <SumMaker
            segment={part.segment}
            onClose={onClose}
            onMake={(source) => {
              putIn(editor, { words: '', source, group: 'number' }, 0);
              onClose();
            }}
          />
        )}
      </Suspense>
    </div>
  );
}
