import { QueryTypes } from 'sequelize';
import { tables } from '../tables.ts';

/** What a programme has of what the first afternoon brings. */
export interface Begun {
  readonly homes: boolean;
  readonly things: boolean;
  readonly sessions: boolean;
  readonly sendings: boolean;
}

/** Whether a programme has homes, knows what they have, has a session and has sent one. One query. */
export async function readBegun(programmeId: string): Promise<Begun> {
  const has = (table: string, further = '') =>
    `EXISTS (SELECT FROM ${table} WHERE programme_id = :programmeId ${further})`;
  const [row] = await tables().query<Begun>(
    `SELECT ${has('homes', 'AND taken_out_at IS NULL')} AS homes, ${has('home_things')} AS things,
            ${has('sessions', 'AND deleted_at IS NULL')} AS sessions, ${has('sendings')} AS sendings`,
    { replacements: { programmeId }, type: QueryTypes.SELECT },
  );
  return row!;
}
