import { sayScreen } from '../../messages/screenWords.ts';
import { DndContext, closestCenter, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, horizontalListSortingStrategy, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { movingWords } from '../moving/movingWords.ts';
import { useMoveSensors } from '../moving/useMoveSensors.ts';
import { memo } from 'react';
import type { ComposedSegment } from '../../core/guide/index.ts';
import { type Tape, type TapeSegment, wholeMinutes } from '../../core/time/index.ts';

interface MinuteTapeProps {
  readonly tape: Tape;
  readonly parts: readonly ComposedSegment[];
  readonly mayWrite: boolean;
  readonly onMove: (segment: string, to: number) => void;
}

/** The session to scale: likely minutes in ink, the spread as a fading edge, the sitting span as a notch. Parts are moved on it. */
export const MinuteTape = memo(function MinuteTape({ tape, parts, mayWrite, onMove }: MinuteTapeProps) {
  const segments = parts.map(({ segment }) => segment);
  const sensors = useMoveSensors();
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    onMove(
      String(active.id),
      segments.findIndex(({ id }) => id === over.id),
    );
  };
  const longest = tape.sits.reduce<Tape['sits'][number] | undefined>(
    (long, sit) => (!long || sit.end - sit.start > long.end - long.start ? sit : long),
    undefined,
  );
  return (
    <div className="relative mt-2 pb-[1.35rem]" aria-label="Minute tape" role="group">
      <div className="relative h-[1.05rem]">
        {tape.sits.map((sit) => (
          <Sit key={sit.from} sit={sit} length={tape.length} isLabelled={sit.isTooLong || sit === longest} />
        ))}
      </div>
      <DndContext
        id="tape"
        accessibility={movingWords(Object.fromEntries(segments.map(({ id, title }) => [id, title])))}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
      >
        <SortableContext items={segments.map(({ id }) => id)} strategy={horizontalListSortingStrategy}>
          <ol className="flex h-[3.05rem] border-y border-marigold">
            {tape.segments.map((segment, index) => (
              <TapePart
                key={segment.id}
                segment={segment}
                title={segments[index]!.title}
                length={tape.length}
                mayWrite={mayWrite}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <Fade from={tape.segments.at(-1)?.end ?? 0} to={tape.total.high} length={tape.length} />
      <div className="relative h-0" aria-hidden="true">
        {tape.ticks.map((minute) => (
          <span
            key={minute}
            className={minute % 5 === 0 ? 'tape-tick [&&]:h-[0.7rem]' : 'tape-tick'}
            style={{ left: share(minute, tape.length) }}
          >
            {minute % 5 === 0 && minute > 0 && minute < tape.length && <b>{minute}</b>}
          </span>
        ))}
      </div>
      <Waits {...{ tape, parts }} />
    </div>
  );
});

/** What dries or rises beside the parts that follow, each in a row of its own below the minutes. */
function Waits({ tape: { waits, length }, parts }: Pick<MinuteTapeProps, 'tape' | 'parts'>) {
  if (waits.length === 0) return null;
  return (
    <ul className="mt-6 -mb-4 text-[0.75rem] leading-tight text-soft" aria-label="What dries or rises meanwhile">
      {waits.map(({ of, start, end, isLonger }) => {
        const title = parts.find(({ segment }) => segment.id === of)?.segment.title;
        const words = `${title}: ${Math.round(end - start)} min to dry or rise${isLonger ? ', longer than the session goes on' : ''}`;
        const isLate = start > length / 2;
        return (
          <li key={of} className="relative h-5">
            <span
              className={`absolute bottom-0 border-b-2 border-dashed border-teal ${isLonger ? '' : 'border-r-2 border-r-teal'}`}
              style={{ left: share(start, length), width: share(Math.min(end, length) - start, length) }}
              aria-hidden="true"
            />
            <span
              className={`absolute top-0 whitespace-nowrap overflow-hidden text-ellipsis ${isLate ? 'left-0 text-right' : 'right-0'}`}
              style={isLate ? { right: share(length - Math.min(end, length), length) } : { left: share(start, length) }}
            >
              {words}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

function share(minutes: number, length: number): string {
  return `${(100 * minutes) / length}%`;
}

function Sit({ sit, length, isLabelled }: { sit: Tape['sits'][number]; length: number; isLabelled: boolean }) {
  const sat = Math.min(sit.end, sit.notch);
  const words = `the youngest sits about ${Math.round(sit.notch - sit.start)} min`;
  return (
    <>
      <span className="sit" style={{ left: share(sit.start, length), width: share(sat - sit.start, length) }}>
        {isLabelled && <span>{words}</span>}
      </span>
      {sit.isTooLong && (
        <span
          className="sit-over"
          style={{ left: share(sit.notch, length), width: share(sit.end - sit.notch, length) }}
        >
          <span className="sr-only">{sayScreen('count.too-long', { count: Math.round(sit.end - sit.notch) })}</span>
        </span>
      )}
    </>
  );
}

function Fade({ from, to, length }: { from: number; to: number; length: number }) {
  return (
    <span
      className="tape-fade"
      aria-hidden="true"
      style={{ left: share(from, length), width: share(Math.max(0, to - from), length) }}
    />
  );
}

const POSTURE_WORDS = { seated: 'sitting', moving: 'moving', free: '' } as const;

interface TapePartProps {
  readonly segment: TapeSegment;
  readonly title: string;
  readonly length: number;
  readonly mayWrite: boolean;
}

function TapePart({ segment, title, length, mayWrite }: TapePartProps) {
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: segment.id,
    disabled: !mayWrite,
  });
  const minutes = wholeMinutes(segment.end - segment.start);
  return (
    <li
      ref={setNodeRef}
      className={`tape-part tape-${segment.posture}${isDragging ? ' is-dragging' : ''}`}
      style={{
        width: share(segment.end - segment.start, length),
        transform: CSS.Translate.toString(transform),
        transition,
      }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        title={`${title}: ${minutes} min`}
        aria-label={`${title} ${minutes} min ${POSTURE_WORDS[segment.posture]}: move on the tape`}
      >
        <b>{title}</b>
        <span>
          {minutes} min <span className="tape-posture">{POSTURE_WORDS[segment.posture]}</span>
        </span>
      </button>
      <span
        className="part-fade"
        aria-hidden="true"
        style={{ width: `${(100 * (segment.end - segment.fadeFrom)) / Math.max(0.01, segment.end - segment.start)}%` }}
      />
    </li>
  );
}
