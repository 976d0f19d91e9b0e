import type { Session } from '../../core/session/index.ts';
import { type OtherHere } from './useOthersHere.ts';

interface OthersHereProps {
  readonly others: readonly OtherHere[];
  readonly session: Session;
  /** What somebody else last made of the line that the caret was in; empty where nobody did. */
  readonly changedLine: string;
}

/** Who else has the session open, and in which part they are; nothing where nobody is. */
export function OthersHere({ others, session, changedLine }: OthersHereProps) {
  const sentences = [
    ...new Set(
      others.map(({ name, part, isMe }) => {
        const title = session.segments.find(({ id }) => id === part)?.title;
        if (isMe) return title ? `You’re in “${title}” in another window.` : 'You have this open in another window.';
        return title ? `${name} is here too, in “${title}”.` : `${name} is here too.`;
      }),
    ),
  ];
  return (
    <>
      <p role="status" className="text-sm text-mulberry font-heading empty:hidden">
        {sentences.join(' ')}
      </p>
      <p role="status" className="sr-only">
        {changedLine && `Somebody else changed this line: ${changedLine.replace(/\{[^}]*\}/g, '…')}`}
      </p>
    </>
  );
}
