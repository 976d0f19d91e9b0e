import { useEffect, useRef } from 'react';

/** The keys of a room, in a window of their own. */
export function KeysHelp({
  keys,
  isOpen,
  onClose,
}: {
  keys: readonly (readonly [place: string, what: string])[];
  isOpen: boolean;
  onClose: () => void;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (isOpen && !dialog.current?.open) dialog.current?.showModal();
    if (!isOpen && dialog.current?.open) dialog.current.close();
  }, [isOpen]);
  return (
    <dialog ref={dialog} className="keys-help" aria-labelledby="keys-title" onClose={onClose}>
      <h2 id="keys-title">Keys</h2>
      <dl>
        {keys.map(([place, what]) => (
          <div key={place}>
            <dt>{place}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <form method="dialog">
        <button className="btn btn-quiet btn-sm">Close</button>
      </form>
    </dialog>
  );
}
