import type { GuideLanguage } from '../../../core/languages.ts';
import { Op } from 'sequelize';
import type { Transaction } from '../transaction.ts';
import { isUuid } from './sessions.ts';
import type { Home } from '../../../core/homes/index.ts';
import { byCodeUnit } from '../../../core/ordering.ts';
import { ChildRow, HomeRow, HomeThingRow, ShelfItemRow } from '../models.ts';
import { tables } from '../tables.ts';

/** A home with what only the server needs to know of it. */
export interface KeptHome extends Home {
  readonly contact: string;
  readonly language: GuideLanguage;
}

/** A programme's homes by nickname, with children and things, or one of them: three queries, however many homes. */
export async function readHomes(
  programmeId: string,
  { transaction, id }: { transaction?: Transaction | undefined; id?: string } = {},
): Promise<KeptHome[]> {
  tables();
  if (id !== undefined && !isUuid(id)) return [];
  const rows = await HomeRow.findAll({
    where: { programmeId, takenOutAt: null, ...(id !== undefined && { id }) },
    include: [
      { model: ChildRow, as: 'children', separate: true, order: [['position', 'ASC']] },
      {
        model: HomeThingRow,
        as: 'things',
        separate: true,
        include: [{ model: ShelfItemRow, as: 'thing', attributes: ['key'] }],
      },
    ],
    order: [['nickname', 'ASC']],
    transaction,
  });
  return rows.map(toHome);
}

function toHome(row: HomeRow): KeptHome {
  const things = (row.things ?? [])
    .map(({ thing, qty }) => ({ item: thing!.key, qty }))
    .sort((left, right) => byCodeUnit(left.item, right.item));
  const hasNot = things.filter(({ qty }) => qty === 0).map(({ item }) => item);
  return {
    id: row.id,
    nickname: row.nickname,
    contact: row.contact,
    language: row.language,
    allergens: row.allergens,
    children: (row.children ?? []).map(({ nickname, birthMonth, loves, mouthing, leftHanded, needs }) => ({
      nickname,
      birthMonth,
      loves: loves || undefined,
      ...(mouthing && { mouthing }),
      ...(leftHanded && { leftHanded }),
      ...(needs && { needs }),
    })),
    stock: things.filter(({ qty }) => qty > 0),
    ...(hasNot.length > 0 && { hasNot }),
  };
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
  transaction: Transaction,
  nicknames?: readonly string[],
): Promise<number> {
  const where = { programmeId, takenOutAt: null, ...(nicknames && { nickname: [...nicknames] }) };
  return HomeRow.count({ where, transaction });
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

/** Takes a home out or brings it back; whether there was one. */
export async function setTakenOut(programmeId: string, id: string, takenOutAt: Date | null): Promise<boolean> {
  tables();
  if (!isUuid(id)) return false;
  const [changed] = await HomeRow.update({ takenOutAt }, { where: { id, programmeId } });
  return changed > 0;
}
