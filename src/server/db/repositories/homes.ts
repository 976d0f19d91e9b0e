import type { Transaction } from 'sequelize';
import type { Home } from '../../../core/homes/home.ts';
import { byCodeUnit } from '../../../core/ordering.ts';
import { ChildRow, HomeRow, HomeThingRow, ShelfItemRow } from '../models.ts';
import { tables } from '../tables.ts';

/** A home with what only the server needs to know of it. */
export interface KeptHome extends Home {
  readonly contact: string;
  readonly language: 'en' | 'es' | 'ar';
}

/** A programme's homes by nickname, with children and things, or one of them: three queries, however many homes. */
export async function readHomes(
  programmeId: string,
  { transaction, id }: { transaction?: Transaction | undefined; id?: string } = {},
): Promise<KeptHome[]> {
  tables();
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
    stock: (row.things ?? [])
      .map(({ thing, qty }) => ({ item: thing!.key, qty }))
      .sort((left, right) => byCodeUnit(left.item, right.item)),
  };
}
