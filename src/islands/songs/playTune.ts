import type { MelodyNote } from '../../core/songs/index.ts';

/** Seconds of a beat: a pace at which a child sings along. */
const SECONDS_A_BEAT = 0.5;
const SOFT = 0.18;

/** Plays lines of a tune with a plain tone, one after the other; answers how to stop it. */
export function playTune(lines: readonly (readonly MelodyNote[])[], onEnd: () => void): () => void {
  const audio = new AudioContext();
  let at = audio.currentTime + 0.1;
  for (const notes of lines)
    for (const { pitch, beats } of notes) {
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      const seconds = beats * SECONDS_A_BEAT;
      tone.type = 'triangle';
      tone.frequency.value = frequencyOf(pitch);
      volume.gain.setValueAtTime(0, at);
      volume.gain.linearRampToValueAtTime(SOFT, at + 0.02);
      volume.gain.setValueAtTime(SOFT, at + seconds * 0.7);
      volume.gain.linearRampToValueAtTime(0, at + seconds * 0.96);
      tone.connect(volume).connect(audio.destination);
      tone.start(at);
      tone.stop(at + seconds);
      at += seconds;
    }
  const ended = window.setTimeout(onEnd, (at - audio.currentTime) * 1000);
  return () => {
    window.clearTimeout(ended);
    void audio.close();
    onEnd();
  };
}

function frequencyOf(pitch: number): number {
  return 440 * 2 ** ((pitch - 57) / 12);
}
