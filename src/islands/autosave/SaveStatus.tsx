import type { Keeping } from './useAutosave.ts';

/** When it was kept, always in sight. */
export function SaveStatus({ keeping, isKept }: { keeping: Keeping; isKept: boolean }) {
  return (
    <span className={`kept kept-${keeping.state}`} role="status">
      {keptWords(keeping, isKept)}
    </span>
  );
}

function keptWords(keeping: Keeping, isKept: boolean): string {
  if (keeping.state === 'kept' && !isKept) return 'keeping …';
  switch (keeping.state) {
    case 'kept':
      return `kept at ${new Date(keeping.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
    case 'keeping':
      return 'keeping …';
    default:
      return 'not kept yet';
  }
}
