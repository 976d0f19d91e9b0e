import type { GuideLanguage } from '../../../core/languages.ts';
import { QueryTypes } from 'sequelize';
import type { WordRead } from '../../../core/words/index.ts';
import type { ProgrammeSettings } from '../../../contracts/programme.ts';
import { byCodeUnit } from '../../../core/ordering.ts';
import { isUuid } from '../isUuid.ts';
import { WordReadingRow } from '../soundTables.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';

/** What was read at a home, by child, in the order of days. One query. */
export async function readReadings(homeId: string): Promise<Map<string, WordRead[]>> {
  tables();
  if (!isUuid(homeId)) return new Map();
  const rows = await WordReadingRow.findAll({ where: { homeId } });
  return byChild(rows.map(({ child, readOn, word, isRight }) => ({ child, on: readOn, word, right: isRight })));
}

/** Writes down a word that was read; a later press of the same day takes the place of the first. */
export async function writeReading(
  homeId: string,
  { child, on, word, right }: WordRead & { readonly child: string },
): Promise<void> {
  tables();
  await WordReadingRow.upsert({ homeId, child, readOn: on, word, isRight: right });
}

/** Takes back what was written down of a word on a day; nothing is nothing. */
export async function removeReading(
  homeId: string,
  { child, on, word }: Omit<WordRead, 'right'> & { readonly child: string },
): Promise<void> {
  tables();
  await WordReadingRow.destroy({ where: { homeId, child, readOn: on, word } });
}

/** The children of homes as they stand, and whether words of theirs are written down. One query. */
export function readChildrenBefore(
  homeIds: readonly string[],
  transaction: Transaction,
): Promise<{ homeId: string; nickname: string; birthMonth: string; hasRead: boolean }[]> {
  return tables().query(
    `SELECT home_id AS "homeId", nickname, birth_month AS "birthMonth",
            EXISTS (SELECT 1 FROM word_readings
                     WHERE word_readings.home_id = children.home_id AND word_readings.child = children.nickname) AS "hasRead"
       FROM children WHERE home_id IN (:homeIds) ORDER BY home_id, position`,
    { replacements: { homeIds: [...homeIds] }, type: QueryTypes.SELECT, transaction },
  );
}

/** A child that was renamed keeps what it read; one that has left takes it along. */
export async function moveReadings(
  homeId: string,
  { from, to }: { readonly from: string; readonly to: string | undefined },
  transaction: Transaction,
): Promise<void> {
  const where = { homeId, child: from };
  if (to === undefined) await WordReadingRow.destroy({ where, transaction });
  else await WordReadingRow.update({ child: to }, { where, transaction });
}

/** The home behind a link that opens: its children, what they read and how its programme goes about it. */
export interface WordsOfHome {
  readonly homeId: string;
  readonly programme: string;
  readonly language: GuideLanguage;
  readonly settings: ProgrammeSettings;
  readonly children: readonly { readonly nickname: string; readonly birthMonth: string }[];
  readonly readings: ReadonlyMap<string, WordRead[]>;
}

/** What a home sees of its words, by its link’s hash; null where the link does not open. One query. */
export async function readWordsByLink(tokenHash: string): Promise<WordsOfHome | null> {
  const rows = await tables().query<
    Omit<WordsOfHome, 'readings'> & { readings: (WordRead & { readonly child: string })[] }
  >(
    `SELECT homes.id AS "homeId", programmes.name AS programme, homes.language, programmes.settings,
            (SELECT coalesce(jsonb_agg(jsonb_build_object('nickname', nickname, 'birthMonth', birth_month) ORDER BY position), '[]')
               FROM children WHERE home_id = homes.id) AS children,
            (SELECT coalesce(jsonb_agg(jsonb_build_object('child', child, 'on', read_on, 'word', word, 'right', is_right)), '[]')
               FROM word_readings WHERE home_id = homes.id) AS readings
       FROM guide_links
       JOIN homes ON homes.id = guide_links.home_id
       JOIN programmes ON programmes.id = guide_links.programme_id
      WHERE guide_links.token_hash = :tokenHash AND guide_links.revoked_at IS NULL`,
    { replacements: { tokenHash }, type: QueryTypes.SELECT },
  );
  return rows[0] ? { ...rows[0], readings: byChild(rows[0].readings) } : null;
}

function byChild(rows: readonly (WordRead & { readonly child: string })[]): Map<string, WordRead[]> {
  const readings = new Map<string, WordRead[]>();
  const sorted = [...rows].sort((one, other) => byCodeUnit(one.on, other.on) || byCodeUnit(one.word, other.word));
  for (const { child, ...read } of sorted) readings.set(child, [...(readings.get(child) ?? []), read]);
  return readings;
}
