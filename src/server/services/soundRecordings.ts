import { createHash } from 'node:crypto';
import { readSoundOrder, type RecordableSound, recordableSounds } from '../../core/words/index.ts';
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
import { HERE, type Beside } from './beside.ts';
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
export async function keepRecording(
  person: Person,
  { sound, file }: { readonly sound: string; readonly file: Uint8Array },
  beside: Beside = HERE,
): Promise<number> {
  requireAuthor(person);
  if (!soundsOf(person).some((known) => known.sound === sound)) throw new EdgeError('not-found');
  const prepared = await beside.prepareRecording(file);
  if (!prepared.ok) throw refused(prepared.problem);
  const { milliseconds } = prepared.value;
  const audio = Buffer.from(prepared.value.audio);
  await writeRecording({
    programmeId: person.programmeId,
    sound,
    audio,
    milliseconds,
    hash: createHash('sha256').update(audio).digest('hex'),
    recordedAt: now(),
    recordedBy: person.userId,
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
