import { useEffect, useState } from 'react';
import { AddPart } from './AddPart.tsx';
import type { BenchProps } from './benchTypes.ts';
import { HomesFoot } from './HomesFoot.tsx';
import { KeepingBanner } from './KeepingBanner.tsx';
import { KeysHelp } from './KeysHelp.tsx';
import { MinuteTape } from './MinuteTape.tsx';
import { SegmentSheet } from './SegmentSheet.tsx';
import { SessionHead } from './SessionHead.tsx';
import { useBench } from './useBench.ts';
import { useKeeping } from './useKeeping.ts';

/** The bench: one session as a sheet, everything computed beside what it is about. */
export function Bench(props: BenchProps) {
  const { id, things, mayWrite } = props;
  const bench = useBench(props);
  const { session, composed, asides, fits, readiness } = bench;
  const { keeping, isKept, keepOver, goOnFrom } = useKeeping({
    id,
    session,
    revision: props.revision,
    keptAt: props.keptAt,
  });
  const [showsKeys, setShowsKeys] = useState(false);
  useBenchKeys({ onUndo: bench.undo, onRedo: bench.redo, onHelp: () => setShowsKeys(true) });
  const canSend = isKept && session.segments.length > 0 && !asides.some(({ weight }) => weight === 'stop');

  return (
    <div className="bench">
      <div className="bench-top">
        <SessionHead
          {...{ session, keeping, mayWrite }}
          total={composed.tape.total}
          canUndo={bench.past.length > 0}
          canRedo={bench.future.length > 0}
          onEdit={bench.edit}
          onUndo={bench.undo}
          onRedo={bench.redo}
          onHelp={() => setShowsKeys(true)}
        />
        <MinuteTape
          tape={composed.tape}
          segments={session.segments}
          mayWrite={mayWrite}
          onMove={(segment, to) => bench.edit({ do: 'move-segment', segment, to })}
        />
      </div>
      <KeepingBanner
        keeping={keeping}
        onKeepOver={(newer) => {
          keepOver(newer);
          bench.take(newer.session);
          bench.take(session);
        }}
        onTakeTheirs={(newer) => {
          goOnFrom(newer);
          bench.take(newer.session);
        }}
      />
      {bench.refusal && (
        <p className="notice banner" role="alert">
          {bench.refusal}{' '}
          <button type="button" className="plain-button" onClick={bench.dismiss}>
            all right
          </button>
        </p>
      )}
      <div className="sheet">
        {composed.segments.map((part, index) => (
          <SegmentSheet
            key={part.segment.id}
            {...{ part, things, mayWrite }}
            position={index}
            count={composed.segments.length}
            asides={asides.filter(({ segment }) => segment === part.segment.id)}
            onEdit={bench.edit}
          />
        ))}
        {session.segments.length === 0 && (
          <p className="quiet px-6 py-8">The sheet is empty. Put a book, a song or an activity on it.</p>
        )}
        {mayWrite && <AddPart session={session} onEdit={bench.edit} />}
      </div>
      <HomesFoot {...{ id, session, composed, fits, readiness, things, mayWrite, canSend }} />
      <KeysHelp isOpen={showsKeys} onClose={() => setShowsKeys(false)} />
    </div>
  );
}

interface BenchKeys {
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  readonly onHelp: () => void;
}

function useBenchKeys({ onUndo, onRedo, onHelp }: BenchKeys): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const isInText = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (isInText) return;
      const isCommand = event.ctrlKey || event.metaKey;
      if (isCommand && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        if (event.shiftKey) onRedo();
        else onUndo();
      } else if (event.key === '?') onHelp();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [onUndo, onRedo, onHelp]);
}
