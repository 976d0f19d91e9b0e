import { useEffect, useRef } from 'react';

const KEYS = [
  ['On a dial', 'arrow keys turn it; Home and End go to its ends; digits type it'],
  ['On “move”', 'space takes it up, arrow keys carry it, space puts it down, Escape lets go'],
  ['On a line', 'Alt with up or down moves it'],
  ['While writing', 'a kind and a colon (“ask: ”) sets the kind; Enter goes on; Escape leaves it as it was'],
  ['Anywhere', 'Ctrl Z undoes, Ctrl Shift Z does it again, ? shows this'],
] as const;

/** The keys of the bench. */
export function KeysHelp({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (isOpen && !dialog.current?.open) dialog.current?.showModal();
    if (!isOpen && dialog.current?.open) dialog.current.close();
  }, [isOpen]);
  return (
    <dialog ref={dialog} className="keys-help" aria-labelledby="keys-title" onClose={onClose}>
      <h2 id="keys-title">Keys</h2>
      <dl>
        {KEYS.map(([place, what]) => (
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
