import type { Keeping, Newer } from './useAutosave.ts';

interface KeepingBannerProps<Value> {
  readonly keeping: Keeping<Value>;
  readonly onKeepOver: (newer: Newer<Value>) => void;
  readonly onTakeTheirs: (newer: Newer<Value>) => void;
}

/** Says when something is not kept, what is safe and what to do. */
export function SaveBanner<Value>({ keeping, onKeepOver, onTakeTheirs }: KeepingBannerProps<Value>) {
  if (keeping.state === 'kept' || keeping.state === 'keeping') return null;
  if (keeping.state !== 'newer') {
    return (
      <p className="notice banner" role="alert">
        {keeping.message}
      </p>
    );
  }
  const { newer } = keeping;
  const at = new Date(newer.keptAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  return (
    <div className="notice banner" role="alert">
      <p>
        {keeping.message} {newer.keptBy && `It was kept by ${newer.keptBy} at ${at}.`}
      </p>
      <p className="banner-tools">
        <button type="button" className="btn btn-sm btn-quiet" onClick={() => onTakeTheirs(newer)}>
          Go on from theirs
        </button>
        <button type="button" className="btn btn-sm btn-quiet" onClick={() => onKeepOver(newer)}>
          Keep mine over it
        </button>
        <span className="small">Whichever you choose, “undo” brings the other back.</span>
      </p>
    </div>
  );
}
