interface RefusalProps {
  /** Why something was refused; nothing while all is well. */
  readonly refusal: string | null;
  readonly onDismiss: () => void;
}

/** Says why the last change was refused, until it is closed. */
export function Refusal({ refusal, onDismiss }: RefusalProps) {
  if (!refusal) return null;
  return (
    <p className="alert alert-warning banner mx-6 my-2.5" role="alert">
      {refusal}{' '}
      <button type="button" className="link link-primary" onClick={onDismiss}>
        Close
      </button>
    </p>
  );
}
