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
    <dialog
      ref={dialog}
      className="m-auto max-w-136 py-5 px-6 bg-sheet text-ink border border-ink [&_dl]:grid [&_dl]:gap-[0.6rem] [&_dl]:my-[0.8rem] [&_dl]:mx-0 [&_dt]:font-heading [&_dt]:font-semibold"
      aria-labelledby="keys-title"
      onClose={onClose}
    >
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
        <button className="btn btn-outline btn-sm">Close</button>
      </form>
    </dialog>
  );
}
