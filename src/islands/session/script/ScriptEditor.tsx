import { DndContext, closestCenter, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useContext, useRef, useSyncExternalStore } from 'react';
import { createPortal } from 'react-dom';
import { templateScope } from '../../../core/session/index.ts';
import { movingWords } from '../../moving/movingWords.ts';
import { useMoveSensors } from '../../moving/useMoveSensors.ts';
import { PasteContext } from '../pasting/pasteContext.ts';
import { BlockView } from './BlockView.tsx';
import { LineAfter, LineGutter } from './LineBeside.tsx';
import { LineBar } from './LineBar.tsx';
import { chooseKind } from './lineCommands.ts';
import type { ScriptLinesProps, StartOfWriting } from './scriptProps.ts';
import { useScriptEditor } from './useScriptEditor.ts';

/** The lines of a part, written in as text. Structure becomes an edit at once, words after a pause or when they are left. */
export function ScriptEditor(props: ScriptLinesProps & StartOfWriting) {
  const { part, mayWrite, things, onEdit, startsAt, typed } = props;
  const { segment } = part;
  const host = useRef<HTMLDivElement>(null);
  const { editor, places, flush } = useScriptEditor(props, { host, startsAt, typed });
  const listed = useSyncExternalStore(places.subscribe, places.list, places.list);
  const { guessed } = useContext(PasteContext);
  const scope = templateScope(segment, things);
  const lines = new Map(part.lines.map((composed) => [composed.line.id, composed]));
  const ids = listed.flatMap((place) => (place.is === 'line' ? [place.id] : []));
  const dragging = useLineDrag(props);
  return (
    <>
      <div ref={host} className="contents" />
      <DndContext id={`lines-${segment.id}`} {...dragging}>
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {listed.map((place) => {
            if (place.is === 'block')
              return createPortal(
                <BlockView {...{ scope, segment, onEdit }} source={place.source} />,
                place.at,
                place.key,
              );
            const composed = lines.get(place.id);
            return [
              createPortal(
                <LineGutter
                  place={place}
                  part={segment.id}
                  position={ids.indexOf(place.id)}
                  isGuessed={guessed.has(place.id)}
                  onKind={(kind) => editor && chooseKind(editor, place.id, kind)}
                />,
                place.gutter,
                `gutter-${place.key}`,
              ),
              composed &&
                createPortal(
                  <LineAfter
                    line={composed.line}
                    onChoose={(change) => onEdit({ do: 'change-line', segment: segment.id, line: place.id, change })}
                  />,
                  place.after,
                  `after-${place.key}`,
                ),
            ];
          })}
        </SortableContext>
      </DndContext>
      {editor && mayWrite && <LineBar {...props} {...{ editor, flush }} />}
    </>
  );
}

/** How lines of a part are moved by hand, or by the keys of what takes them up. */
function useLineDrag({ part: { segment, lines }, onEdit }: ScriptLinesProps) {
  const sensors = useMoveSensors();
  const titles = Object.fromEntries(lines.map(({ line }, index) => [line.id, `line ${index + 1}`]));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = lines.findIndex(({ line }) => line.id === over?.id);
    if (over && active.id !== over.id) onEdit({ do: 'move-line', segment: segment.id, line: String(active.id), to });
  };
  return { sensors, onDragEnd, accessibility: movingWords(titles), collisionDetection: closestCenter };
}
