import type { GuideLanguage } from '../../../core/languages.ts';
import { Op, QueryTypes } from 'sequelize';
import type { Transaction } from '../transaction.ts';
import { isUuid } from '../isUuid.ts';
import type { Home } from '../../../core/homes/index.ts';
import { byCodeUnit } from '../../../core/ordering.ts';
import { HomeRow } from '../models.ts';
import { tables } from '../tables.ts';

/** A home with what only the server needs to know of it. */
export interface KeptHome extends Home {
  readonly contact: string;
  readonly language: GuideLanguage;
}

/** Which homes are read, and how much of what they have. Nothing said: all of both. */
export interface HomesAsked {
  readonly transaction?: Transaction | undefined;
  readonly ids?: readonly string[] | undefined;
  /** Only what they have of these things. */
  readonly items?: readonly string[] | undefined;
}

/** A programme's homes by nickname, with children and things, or some of them. One query, however many homes. */
export async function readHomes(
  programmeId: string,
  { transaction, ids, items }: HomesAsked = {},
): Promise<KeptHome[]> {
  const known = ids?.filter(isUuid);
  if (known?.length === 0) return [];
  const rows = await tables().query<ReadHome>(
    `SELECT homes.id, homes.nickname, homes.contact, homes.language, homes.allergens, whose.children, has.things
       FROM homes
       LEFT JOIN (SELECT home_id, json_agg(json_build_object('nickname', children.nickname, 'birthMonth', birth_month,
                           'loves', loves, 'mouthing', mouthing, 'leftHanded', left_handed, 'needs', needs) ORDER BY position) AS children
                    FROM children JOIN homes ON homes.id = home_id
                   WHERE homes.programme_id = :programmeId ${known ? 'AND home_id IN (:known)' : ''}
                   GROUP BY home_id) whose ON whose.home_id = homes.id
       LEFT JOIN (SELECT home_id, json_object_agg(shelf_items.key, qty) AS things
                    FROM home_things JOIN shelf_items ON shelf_items.id = home_things.thing_id
                   WHERE shelf_items.programme_id = :programmeId ${known ? 'AND home_id IN (:known)' : ''}
                         ${items ? 'AND shelf_items.key IN (:items)' : ''}
                   GROUP BY home_id) has ON has.home_id = homes.id
      WHERE homes.programme_id = :programmeId AND homes.taken_out_at IS NULL ${known ? 'AND homes.id IN (:known)' : ''}
      ORDER BY homes.nickname`,
    {
      replacements: {
        programmeId,
        ...(known && { known }),
        ...(items && { items: items.length > 0 ? [...items] : [''] }),
      },
      type: QueryTypes.SELECT,
      ...(transaction && { transaction }),
    },
  );
  return rows.map(toHome);
}

interface ReadHome {
  readonly id: string;
  readonly nickname: string;
  readonly contact: string;
  readonly language: GuideLanguage;
  readonly allergens: string[];
  readonly children:
    | { nickname: string; birthMonth: string; loves: string; mouthing: boolean; leftHanded: boolean; needs: string }[]
    | null;
  readonly things: Readonly<Record<string, number>> | null;
}

function toHome({ children, things, ...row }: ReadHome): KeptHome {
  const all = Object.entries(things ?? {})
    .map(([item, qty]) => ({ item, qty }))
    .sort((left, right) => byCodeUnit(left.item, right.item));
  const hasNot = all.filter(({ qty }) => qty === 0).map(({ item }) => item);
  return {
    ...row,
    children: (children ?? []).map(({ nickname, birthMonth, loves, mouthing, leftHanded, needs }) => ({
      nickname,
      birthMonth,
      loves: loves || undefined,
      ...(mouthing && { mouthing }),
      ...(leftHanded && { leftHanded }),
      ...(needs && { needs }),
    })),
    stock: all.filter(({ qty }) => qty > 0),
    ...(hasNot.length > 0 && { hasNot }),
  };
}

/**
 * The ids of a programme's homes by nickname, so many from one on (the first is 0), with how many there are in all; with a text,
 * those whose nickname holds it. Two queries.
 */
export async function findHomeIds(
  programmeId: string,
  { from, most, name = '' }: { from: number; most: number; name?: string | undefined },
): Promise<{ ids: string[]; total: number }> {
  tables();
  const like = `%${name.replace(/[\\%_]/g, '\\$&')}%`;
  const where = { programmeId, takenOutAt: null, ...(name && { nickname: { [Op.iLike]: like } }) };
  const [rows, total] = await Promise.all([
    HomeRow.findAll({ where, attributes: ['id'], order: [['nickname', 'ASC']], offset: from, limit: most }),
    HomeRow.count({ where }),
  ]);
  return { ids: rows.map(({ id }) => id), total };
}

/** Homes that were taken out and may come back, by nickname. One query. */
export async function readTakenOut(programmeId: string): Promise<{ id: string; nickname: string; takenOutAt: Date }[]> {
  tables();
  const where = { programmeId, takenOutAt: { [Op.ne]: null } };
  const rows = await HomeRow.findAll({ where, order: [['nickname', 'ASC']] });
  return rows.map(({ id, nickname, takenOutAt }) => ({ id, nickname, takenOutAt: takenOutAt! }));
}

/** The revision of a home that is not taken out, held while there is a transaction; null when it is not there. One query. */
export async function readHomeRevision(
  programmeId: string,
  id: string,
  transaction?: Transaction,
): Promise<number | null> {
  tables();
  if (!isUuid(id)) return null;
  const row = await HomeRow.findOne({
    where: { id, programmeId, takenOutAt: null },
    ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
  });
  return row && row.revision;
}

/** How many homes a programme has; those that were taken out do not count. One query. */
export function countHomes(
  programmeId: string,
  transaction?: Transaction,
  nicknames?: readonly string[],
): Promise<number> {
  const where = { programmeId, takenOutAt: null, ...(nicknames && { nickname: [...nicknames] }) };
  tables();
  return HomeRow.count({ where, ...(transaction && { transaction }) });
}

/** The home of a nickname, taken out or not; null when there is none. One query. */
export async function findHomeByName(
  programmeId: string,
  nickname: string,
  transaction: Transaction,
): Promise<{ id: string; isTakenOut: boolean } | null> {
  const row = await HomeRow.findOne({ where: { programmeId, nickname }, transaction });
  return row && { id: row.id, isTakenOut: row.takenOutAt !== null };
}

/** Which of these names homes bear, those that were taken out too. One query. */
export async function findHomesByNames(
  programmeId: string,
  nicknames: readonly string[],
  transaction: Transaction,
): Promise<{ id: string; nickname: string; isTakenOut: boolean }[]> {
  const where = { programmeId, nickname: { [Op.in]: [...nicknames] } };
  const rows = await HomeRow.findAll({ where, attributes: ['id', 'nickname', 'takenOutAt'], transaction });
  return rows.map(({ id, nickname, takenOutAt }) => ({ id, nickname, isTakenOut: takenOutAt !== null }));
}

/** Takes a home out or brings it back; whether there was one. */
export async function setTakenOut(programmeId: string, id: string, takenOutAt: Date | null): Promise<boolean> {
  tables();
  if (!isUuid(id)) return false;
  const [changed] = await HomeRow.update({ takenOutAt }, { where: { id, programmeId } });
  return changed > 0;
}
