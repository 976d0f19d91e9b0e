import type { Keeping } from './useKeeping.ts';

/** When it was kept, always in sight. */
export function KeptWord({ keeping }: { keeping: Keeping }) {
  return (
    <span className={`kept kept-${keeping.state}`} role="status">
      {keptWords(keeping)}
    </span>
  );
}

function keptWords(keeping: Keeping): string {
  switch (keeping.state) {
    case 'kept':
      return `kept at ${new Date(keeping.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
    case 'keeping':
      return 'keeping …';
    default:
      return 'not kept yet';
  }
}
