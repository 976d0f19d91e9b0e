import type { ReactNode } from 'react';

export interface LabelledProps {
  readonly id: string;
  readonly label: string;
  /** Must be filled in. */
  readonly isMust?: boolean | undefined;
  readonly hint?: string | undefined;
  /** What is wrong with it; said with the label in front. */
  readonly problem?: string | undefined;
  readonly children: ReactNode;
}

/** A field of a form with its label, a hint, and what is wrong with it at the place where it is. */
export function Labelled({ id, label, isMust = false, hint, problem, children }: LabelledProps) {
  return (
    <div className="field">
      <label htmlFor={id} className={isMust ? 'is-must' : undefined}>
        {label}
      </label>
      {hint && (
        <p className="text-soft text-sm" id={`${id}-hint`}>
          {hint}
        </p>
      )}
      {children}
      <Problem id={id} label={label} problem={problem} />
    </div>
  );
}

/** What is wrong with a field, in words that begin with its label. */
export function Problem({ id, label, problem }: Pick<LabelledProps, 'id' | 'label' | 'problem'>) {
  if (!problem) return null;
  return (
    <p className="field-problem text-error text-sm mt-1" id={`${id}-problem`}>
      {label} {problem}
    </p>
  );
}

/** What a field says of itself to those who hear the page. */
export function described({ id, hint, problem }: Pick<LabelledProps, 'id' | 'hint' | 'problem'>) {
  const ids = [hint && `${id}-hint`, problem && `${id}-problem`].filter(Boolean).join(' ');
  return { 'aria-invalid': problem ? true : undefined, 'aria-describedby': ids || undefined } as const;
}
