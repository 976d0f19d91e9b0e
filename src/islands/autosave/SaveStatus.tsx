import type { Keeping } from './serverCopy.ts';

/** What an author should look at. */
const SOUNDS_ALARM: readonly Keeping['state'][] = ['away', 'refused', 'newer'];

/** When it was kept, always in sight. */
export function SaveStatus({ keeping, isKept }: { keeping: Keeping; isKept: boolean }) {
  return (
    <span className={SOUNDS_ALARM.includes(keeping.state) ? 'text-mulberry font-semibold' : 'text-soft'} role="status">
      {keptWords(keeping, isKept)}
    </span>
  );
}

function keptWords(keeping: Keeping, isKept: boolean): string {
  if (keeping.state === 'kept' && !isKept) return 'saving …';
  switch (keeping.state) {
    case 'kept':
      return `saved at ${new Date(keeping.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
    case 'keeping':
      return 'saving …';
    default:
      return 'not saved yet';
  }
}
