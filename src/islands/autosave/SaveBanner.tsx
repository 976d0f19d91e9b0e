import type { Newer } from './keepOnServer.ts';
import type { Keeping } from './serverCopy.ts';

interface KeepingBannerProps<Value> {
  readonly keeping: Keeping<Value>;
  /** What stands here. */
  readonly value: Value;
  /** Shows a value here, so that “undo” brings back the one before. */
  readonly onTake: (value: Value) => void;
  /** Goes on from theirs. */
  readonly loadRemote: (newer: Newer<Value>) => void;
  /** Keeps what stands here over theirs. */
  readonly overwriteRemote: (newer: Newer<Value>) => void;
}

/** Says when something is not kept, what is safe and what to do. */
export function SaveBanner<Value>({ keeping, value, onTake, loadRemote, overwriteRemote }: KeepingBannerProps<Value>) {
  if (keeping.state === 'kept' || keeping.state === 'keeping') return null;
  if (keeping.state !== 'newer') {
    return (
      <p className="alert alert-warning banner mx-6 my-2.5" role="alert">
        {keeping.message}
      </p>
    );
  }
  const { newer } = keeping;
  const takeTheirs = () => {
    loadRemote(newer);
    onTake(newer.value);
  };
  const keepMine = () => {
    overwriteRemote(newer);
    onTake(newer.value);
    onTake(value);
  };
  const at = new Date(newer.keptAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  return (
    <div className="alert alert-warning banner mx-6 my-2.5" role="alert">
      <p>
        {keeping.message} {newer.keptBy && `It was kept by ${newer.keptBy} at ${at}.`}
      </p>
      <p className="mt-[0.4rem] flex flex-wrap gap-[0.6rem] items-baseline">
        <button type="button" className="btn btn-sm btn-outline" onClick={takeTheirs}>
          Go on from theirs
        </button>
        <button type="button" className="btn btn-sm btn-outline" onClick={keepMine}>
          Keep mine over it
        </button>
        <span className="text-sm">Whichever you choose, “undo” brings the other back.</span>
      </p>
    </div>
  );
}
