import type { SaidSound } from '../../core/makers/index.ts';
import { SoundPlayer } from './SoundPlayer.tsx';

/** The sounds that are said here, in the programme's own voice; nothing where none of them is recorded. */
export function HeardSounds({ sounds, recorded }: { sounds: readonly SaidSound[]; recorded: readonly string[] }) {
  const heard = sounds.filter(({ sound }) => recorded.includes(sound));
  if (heard.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-x-5 gap-y-1 py-1" aria-label="In our own voice">
      {heard.map(({ sound, letters }) => (
        <li key={sound} className="flex items-center gap-2">
          <span className="drawn-text text-lg">{letters}</span>
          <SoundPlayer {...{ sound, letters }} />
        </li>
      ))}
    </ul>
  );
}
