import { QueryTypes } from 'sequelize';
import { SoundRecordingRow } from '../soundTables.ts';
import { tables } from '../tables.ts';

/** A recording as it is played. */
export interface Recording {
  readonly audio: Buffer;
  /** Of its bytes, for caches. */
  readonly hash: string;
}

/** The sounds that a programme has recorded, by their names, with how long each lasts. One query. */
export async function readRecorded(programmeId: string): Promise<{ sound: string; milliseconds: number }[]> {
  tables();
  const rows = await SoundRecordingRow.findAll({ where: { programmeId }, attributes: ['sound', 'milliseconds'] });
  return rows.map(({ sound, milliseconds }) => ({ sound, milliseconds }));
}

/** A programme's recording of a sound; null where there is none. One query. */
export async function readRecording(programmeId: string, sound: string): Promise<Recording | null> {
  tables();
  return SoundRecordingRow.findOne({ where: { programmeId, sound }, attributes: ['audio', 'hash'] });
}

/** The recording of a sound that a home hears by its link; null where the link does not open, or there is none. One query. */
export async function readRecordingByLink(tokenHash: string, sound: string): Promise<Recording | null> {
  const rows = await tables().query<Recording>(
    `SELECT sound_recordings.audio, sound_recordings.hash FROM guide_links
       JOIN sound_recordings USING (programme_id)
      WHERE guide_links.token_hash = :tokenHash AND guide_links.revoked_at IS NULL AND sound_recordings.sound = :sound`,
    { replacements: { tokenHash, sound }, type: QueryTypes.SELECT },
  );
  return rows[0] ?? null;
}

/** Keeps a recording in place of the one there was. */
export async function writeRecording(row: {
  readonly programmeId: string;
  readonly sound: string;
  readonly audio: Buffer;
  readonly hash: string;
  readonly milliseconds: number;
  readonly recordedAt: Date;
  readonly recordedBy: string;
}): Promise<void> {
  tables();
  await SoundRecordingRow.upsert({ ...row });
}

/** Takes a recording out; none is none. */
export async function removeRecording(programmeId: string, sound: string): Promise<void> {
  tables();
  await SoundRecordingRow.destroy({ where: { programmeId, sound } });
}
