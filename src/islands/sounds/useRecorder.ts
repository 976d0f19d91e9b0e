import { useEffect, useRef, useState } from 'react';
import { RECORDING_RATE } from '../../core/sounds/index.ts';

/** Seconds until a recording ends by itself; what is silent in it is cut off afterwards. */
const LONGEST_SECONDS = 3;

/** Why nothing can be recorded here. */
export type RecorderProblem = 'no-microphone' | 'not-allowed' | 'not-here' | 'unreadable';

interface Running {
  readonly recorder: MediaRecorder;
  readonly stream: MediaStream;
  readonly timer: number;
}

/** The microphone: records for three seconds at most and gives the recording as a WAV file. */
export function useRecorder() {
  const [isRecording, setIsRecording] = useState(false);
  const running = useRef<Running | null>(null);
  const stop = () => {
    if (running.current?.recorder.state === 'recording') running.current.recorder.stop();
  };
  useEffect(
    () => () => {
      running.current?.stream.getTracks().forEach((track) => track.stop());
    },
    [],
  );
  /** Starts; the promise is kept once somebody stops it, or time is up. */
  const record = async (): Promise<Uint8Array | RecorderProblem> => {
    if (!('mediaDevices' in navigator) || typeof MediaRecorder === 'undefined') return 'not-here';
    let stream: MediaStream;
    try {
      // What cleans up speech takes the hiss of s and f for noise.
      const plain = { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 };
      stream = await navigator.mediaDevices.getUserMedia({ audio: plain });
    } catch (error) {
      return (error as DOMException).name === 'NotAllowedError' ? 'not-allowed' : 'no-microphone';
    }
    const recorder = new MediaRecorder(stream);
    const pieces: Blob[] = [];
    recorder.ondataavailable = ({ data }) => void pieces.push(data);
    const ended = new Promise<void>((done) => (recorder.onstop = () => done()));
    running.current = { recorder, stream, timer: window.setTimeout(stop, LONGEST_SECONDS * 1000) };
    recorder.start();
    setIsRecording(true);
    await ended;
    window.clearTimeout(running.current.timer);
    stream.getTracks().forEach((track) => track.stop());
    running.current = null;
    setIsRecording(false);
    return asWav(new Blob(pieces, { type: recorder.mimeType })).catch(() => 'unreadable');
  };
  return { isRecording, record, stop };
}

async function asWav(recorded: Blob): Promise<Uint8Array> {
  const context = new OfflineAudioContext(1, RECORDING_RATE, RECORDING_RATE);
  const audio = await context.decodeAudioData(await recorded.arrayBuffer());
  const { WaveFile } = await import('wavefile');
  const wav = new WaveFile();
  const samples = audio.getChannelData(0).map((sample) => Math.round(Math.max(-1, Math.min(1, sample)) * 32767));
  wav.fromScratch(1, audio.sampleRate, '16', samples);
  return wav.toBuffer();
}
