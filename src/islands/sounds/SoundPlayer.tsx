interface SoundPlayerProps {
  readonly sound: string;
  /** The letters that it is the sound of. */
  readonly letters: string;
  /** Counts up with each recording, so that the newest is fetched. */
  readonly take?: number;
}

/** Plays a sound that the programme has recorded, once it is asked to. */
export function SoundPlayer({ sound, letters, take }: SoundPlayerProps) {
  return (
    <audio
      key={take}
      controls
      preload="none"
      className="h-9 w-52"
      aria-label={`The sound of ${letters}`}
      src={`/api/sounds/${sound}${take === undefined ? '' : `?take=${take}`}`}
    />
  );
}
