import { createHash } from 'node:crypto';
import { levelRecording, LONGEST_SOUND_MS } from '../../core/sounds/levelRecording.ts';
import { recordableSounds, type RecordableSound } from '../../core/words/recordableSounds.ts';
import { readSoundOrder } from '../../core/words/soundOrder.ts';
import { readWav, writeWav } from '../audio/wav.ts';
import { now } from '../clock.ts';
import {
  readRecorded,
  readRecording,
  readRecordingByLink,
  removeRecording,
  writeRecording,
  type Recording,
} from '../db/repositories/soundRecordings.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken } from '../http/secrets.ts';
import { requireAuthor, type Person } from './person.ts';

/** A sound of the programme, and how long its recording lasts; null where there is none yet. */
export interface OwnSound extends RecordableSound {
  readonly milliseconds: number | null;
}

/** Every sound of the programme's order with what is recorded of it. One query. */
export async function listSounds(person: Person): Promise<OwnSound[]> {
  const recorded = new Map(
    (await readRecorded(person.programmeId)).map(({ sound, milliseconds }) => [sound, milliseconds]),
  );
  return soundsOf(person).map((sound) => ({ ...sound, milliseconds: recorded.get(sound.sound) ?? null }));
}

/** The names of the sounds that the programme has recorded. One query. */
export async function listRecorded(person: Person): Promise<string[]> {
  return (await readRecorded(person.programmeId)).map(({ sound }) => sound);
}

/**
 * Keeps a recording of a sound, cut and levelled, in place of the one there was; gives how long it lasts. What is no WAV
 * file, is silent or too long is refused in words, and the one there was stays.
 */
export async function keepRecording(person: Person, sound: string, file: Uint8Array): Promise<number> {
  requireAuthor(person);
  if (!soundsOf(person).some((known) => known.sound === sound)) throw new EdgeError('not-found');
  const wav = readWav(file);
  if (!wav.ok) throw refused(wav.problem);
  const { samples, rate } = wav.value;
  // Cut before anything else is done to it: what follows is then never longer than a sound.
  const levelled = levelRecording(samples, rate);
  if (!levelled.ok)
    throw refused(
      levelled.problem.code === 'silent'
        ? 'has no sound in it; say it closer to the microphone'
        : `lasts ${(levelled.problem.milliseconds / 1000).toFixed(1)} seconds; say the sound alone, in less than ${LONGEST_SOUND_MS / 1000}`,
    );
  const audio = Buffer.from(writeWav({ samples: levelled.value, rate }));
  const milliseconds = Math.max(1, Math.round((levelled.value.length * 1000) / rate));
  await writeRecording({
    ...{ programmeId: person.programmeId, sound, audio, milliseconds },
    ...{ hash: createHash('sha256').update(audio).digest('hex'), recordedAt: now(), recordedBy: person.userId },
  });
  return milliseconds;
}

/** Takes a recording out; homes no longer hear it. */
export async function forgetRecording(person: Person, sound: string): Promise<void> {
  requireAuthor(person);
  await removeRecording(person.programmeId, sound);
}

/** The programme's own recording of a sound. One query. */
export async function hearSound(person: Person, sound: string): Promise<Recording> {
  return found(await readRecording(person.programmeId, sound));
}

/** What a home hears by its link. One query. */
export async function hearByLink(token: string, sound: string): Promise<Recording> {
  return found(await readRecordingByLink(hashToken(token), sound));
}

const soundsOf = (person: Person) => recordableSounds(readSoundOrder(person.settings.numbers.soundOrder));

function found(recording: Recording | null): Recording {
  if (!recording) throw new EdgeError('not-found');
  return recording;
}

const refused = (message: string) => new EdgeError('wrong-input', { problems: [{ path: 'The recording', message }] });
