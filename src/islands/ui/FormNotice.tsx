import type { FormWord } from './useServerForm.ts';

interface FormNoticeProps {
  readonly word: FormWord | null;
  readonly onTheirs?: (() => void) | undefined;
  readonly onOurs?: (() => void) | undefined;
}

/** What is said above a form: that it was not kept, and where somebody else was quicker, which of the two to go on from. */
export function FormNotice({ word, onTheirs, onOurs }: FormNoticeProps) {
  if (!word) return null;
  return (
    <div className="alert alert-warning" role="alert">
      <p>{word.text}</p>
      {word.current !== undefined && (
        <p className="flex flex-wrap gap-3">
          <button type="button" className="btn btn-outline btn-sm" onClick={onTheirs}>
            Go on from theirs
          </button>
          <button type="button" className="btn btn-outline btn-sm" onClick={onOurs}>
            Keep mine over it
          </button>
        </p>
      )}
      {word.others.length > 0 && (
        <ul>
          {word.others.map(({ path, message }) => (
            <li key={path + message}>
              {path === '$' ? '' : `${path}: `}
              {message}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
