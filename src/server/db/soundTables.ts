import { DataTypes, Model } from 'sequelize';
import { bytes, day, flag, maybe, moment, text, uuidKey, whole } from './columns.ts';

/** Ties a model to a table of the connection. */
export type Define = (model: typeof Model, tableName: string, columns: object) => void;

export class SoundRecordingRow extends Model {
  declare programmeId: string;
  declare sound: string;
  declare audio: Buffer;
  declare hash: string;
  declare milliseconds: number;
  declare recordedAt: Date;
  declare recordedBy: string | null;
}

export class WordReadingRow extends Model {
  declare homeId: string;
  declare child: string;
  declare readOn: string;
  declare word: string;
  declare isRight: boolean;
}

/** The tables of recorded sounds and of words that were read. */
export function defineSoundsAndWords(define: Define): void {
  define(SoundRecordingRow, 'sound_recordings', {
    programmeId: uuidKey(),
    sound: { ...text(), primaryKey: true },
    audio: bytes(),
    hash: text(),
    milliseconds: whole(),
    recordedAt: moment(),
    recordedBy: maybe(DataTypes.UUID),
  });
  define(WordReadingRow, 'word_readings', {
    homeId: uuidKey(),
    child: { ...text(), primaryKey: true },
    readOn: { ...day(), primaryKey: true },
    word: { ...text(), primaryKey: true },
    isRight: flag(),
  });
}
