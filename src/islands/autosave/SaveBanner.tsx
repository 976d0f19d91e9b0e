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
      <p className="alert alert-warning banner mx-6 my-2.5" role="alert">
        {keeping.message}
      </p>
    );
  }
  const { newer } = keeping;
  const at = new Date(newer.keptAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  return (
    <div className="alert alert-warning banner mx-6 my-2.5" role="alert">
      <p>
        {keeping.message} {newer.keptBy && `It was kept by ${newer.keptBy} at ${at}.`}
      </p>
      <p className="mt-[0.4rem] flex flex-wrap gap-[0.6rem] items-center flex flex-wrap gap-[0.6rem] items-baseline">
        <button type="button" className="btn btn-sm btn-outline" onClick={() => onTakeTheirs(newer)}>
          Go on from theirs
        </button>
        <button type="button" className="btn btn-sm btn-outline" onClick={() => onKeepOver(newer)}>
          Keep mine over it
        </button>
        <span className="text-sm">Whichever you choose, “undo” brings the other back.</span>
      </p>
    </div>
  );
}
