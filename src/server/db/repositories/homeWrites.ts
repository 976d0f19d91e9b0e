import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { ChildRow, HomeRow, HomeThingRow, ShelfItemRow } from '../models.ts';
import type { Transaction } from '../transaction.ts';

/** A child and a thing of a home as they are written. */
interface WrittenChild {
  readonly nickname: string;
  readonly birthMonth: string;
  readonly loves: string;
  readonly mouthing?: boolean | undefined;
  readonly leftHanded?: boolean | undefined;
  readonly needs?: string | undefined;
}

/** A home as it is written; its things by their keys. */
export interface WrittenHome {
  readonly nickname: string;
  readonly contact: string;
  readonly language: HomeRow['language'];
  readonly allergens: readonly string[];
  readonly children: readonly WrittenChild[];
  readonly things: readonly { readonly item: string; readonly qty: number }[];
}

/** The ids of things of the shelf by their keys; keys that are not there are left out. One query. */
export async function readThingIds(
  programmeId: string,
  keys: readonly string[],
  transaction: Transaction,
): Promise<Map<string, string>> {
  const rows = await ShelfItemRow.findAll({
    where: { programmeId, kind: 'thing', key: { [Op.in]: [...new Set(keys)] } },
    attributes: ['id', 'key'],
    transaction,
  });
  return new Map(rows.map(({ id, key }) => [key, id]));
}

/** Writes one home under a revision, in place of what there was under its id. Five queries. */
export async function writeHome(
  programmeId: string,
  { id, home, revision }: { id: string; home: WrittenHome; revision: number },
  { thingIds, transaction }: { thingIds: ReadonlyMap<string, string>; transaction: Transaction },
): Promise<void> {
  const { children: _children, things: _things, ...facts } = home;
  await HomeRow.upsert({ id, programmeId, ...facts, revision, takenOutAt: null }, { transaction });
  await writeContents(programmeId, [{ id, home }], { thingIds, transaction });
}

/** Writes homes of a file, in place of those with the same nicknames. Six queries, however many. */
export async function writeHomes(
  programmeId: string,
  homes: readonly WrittenHome[],
  { thingIds, transaction }: { thingIds: ReadonlyMap<string, string>; transaction: Transaction },
): Promise<void> {
  await HomeRow.bulkCreate(
    homes.map(({ nickname, contact, language, allergens }) => ({
      ...{ id: randomUUID(), programmeId, nickname, contact, language, allergens, takenOutAt: null },
    })),
    {
      updateOnDuplicate: ['contact', 'language', 'allergens', 'takenOutAt'],
      conflictAttributes: ['programmeId', 'nickname'],
      transaction,
    },
  );
  const rows = await HomeRow.findAll({
    where: { programmeId, nickname: { [Op.in]: homes.map(({ nickname }) => nickname) } },
    transaction,
  });
  const withIds = homes.map((home) => ({ id: rows.find(({ nickname }) => nickname === home.nickname)!.id, home }));
  await writeContents(programmeId, withIds, { thingIds, transaction });
}

/** The children and things of homes, in place of those there were. Four queries. */
async function writeContents(
  programmeId: string,
  homes: readonly { readonly id: string; readonly home: WrittenHome }[],
  { thingIds, transaction }: { thingIds: ReadonlyMap<string, string>; transaction: Transaction },
): Promise<void> {
  const homeId = { [Op.in]: homes.map(({ id }) => id) };
  await ChildRow.destroy({ where: { homeId }, transaction });
  await HomeThingRow.destroy({ where: { homeId }, transaction });
  await ChildRow.bulkCreate(
    homes.flatMap(({ id, home }) =>
      home.children.map(({ mouthing = false, leftHanded = false, needs = '', ...child }, position) => ({
        ...{ id: randomUUID(), homeId: id, position, ...child, mouthing, leftHanded, needs },
      })),
    ),
    { transaction },
  );
  await HomeThingRow.bulkCreate(
    homes.flatMap(({ id, home }) =>
      home.things.map(({ item, qty }) => ({ homeId: id, thingId: thingIds.get(item)!, programmeId, qty })),
    ),
    { transaction },
  );
}
