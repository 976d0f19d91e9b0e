import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { ChildRow, HomeRow, HomeThingRow, ShelfItemRow } from '../models.ts';
import type { Transaction } from '../transaction.ts';
import { moveReadings, readChildrenBefore } from './wordReadings.ts';

/** A child and a thing of a home as they are written. */
interface WrittenChild {
  readonly nickname: string;
  readonly birthMonth: string;
  readonly loves: string;
  readonly mouthing?: boolean | undefined;
  readonly leftHanded?: boolean | undefined;
  readonly needs?: string | undefined;
}

/** A home as it is written; its things by their keys, those that it has not with none. */
export interface WrittenHome {
  readonly nickname: string;
  readonly contact: string;
  readonly language: HomeRow['language'];
  readonly allergens: readonly string[];
  readonly children: readonly WrittenChild[];
  readonly things: readonly { readonly item: string; readonly qty: number }[];
}

/** Things as they are written: those that a home has not stand among them with none. */
export function withThoseItHasNot(
  things: WrittenHome['things'],
  hasNot: readonly string[],
): { readonly item: string; readonly qty: number }[] {
  const known = new Set(things.map(({ item }) => item));
  const lacking = [...new Set(hasNot)].filter((item) => !known.has(item));
  return [...things, ...lacking.map((item) => ({ item, qty: 0 }))];
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

/** Writes one home under a revision, in place of what there was under its id. Six queries, one more for each child that was renamed or has left. */
export async function writeHome(
  programmeId: string,
  { id, home, revision }: { id: string; home: WrittenHome; revision: number },
  { thingIds, transaction }: { thingIds: ReadonlyMap<string, string>; transaction: Transaction },
): Promise<void> {
  const { children: _children, things: _things, ...facts } = home;
  await HomeRow.upsert({ id, programmeId, ...facts, revision, takenOutAt: null }, { transaction });
  await followChildren([{ id, home }], transaction);
  await writeContents(programmeId, [{ id, home }], { thingIds, transaction });
}

/**
 * What a child read goes with it to a new name (born in the same month, and not there before); of one that has left nothing
 * stays. One query, and one more for each child with readings that was renamed or has left.
 */
async function followChildren(
  homes: readonly { readonly id: string; readonly home: WrittenHome }[],
  transaction: Transaction,
): Promise<void> {
  const ids = homes.map(({ id }) => id);
  if (ids.length === 0) return;
  const before = await readChildrenBefore(ids, transaction);
  for (const { id, home } of homes) {
    const known = before.filter(({ homeId }) => homeId === id);
    const unclaimed = home.children.filter(({ nickname }) => !known.some((child) => child.nickname === nickname));
    for (const { nickname: from, birthMonth, hasRead } of known) {
      if (home.children.some(({ nickname }) => nickname === from)) continue;
      const found = unclaimed.findIndex((child) => child.birthMonth === birthMonth);
      const [to] = found < 0 ? [] : unclaimed.splice(found, 1);
      if (hasRead) await moveReadings(id, { from, to: to?.nickname }, transaction);
    }
  }
}

/** An allergy that a file does not name for a home that was known to have it: it stays. */
export interface KeptAllergy {
  readonly home: string;
  readonly allergen: string;
}

/**
 * Writes homes of a file, in place of those with the same nicknames, each under its next revision, so that whoever has one
 * open is told. An allergy that was known stays, whatever the file says: only a person takes one out. Gives those that
 * stayed so. Nine queries, however many; one more for each child with readings that left.
 */
export async function writeHomes(
  programmeId: string,
  homes: readonly WrittenHome[],
  { thingIds, transaction }: { thingIds: ReadonlyMap<string, string>; transaction: Transaction },
): Promise<KeptAllergy[]> {
  const nicknames = homes.map(({ nickname }) => nickname);
  const known = await HomeRow.findAll({
    where: { programmeId, nickname: { [Op.in]: nicknames } },
    transaction,
    lock: transaction.LOCK.UPDATE,
  });
  const knownAllergens = new Map(known.map(({ nickname, allergens }) => [nickname, allergens]));
  const kept = homes.flatMap(({ nickname, allergens }) =>
    (knownAllergens.get(nickname) ?? [])
      .filter((allergen) => !allergens.includes(allergen))
      .map((allergen) => ({ home: nickname, allergen })),
  );
  const stays = (nickname: string) => kept.filter(({ home }) => home === nickname).map(({ allergen }) => allergen);
  await HomeRow.bulkCreate(
    homes.map(({ nickname, contact, language, allergens }) => ({
      id: randomUUID(),
      programmeId,
      nickname,
      contact,
      language,
      takenOutAt: null,
      revision: 1,
      allergens: [...allergens, ...stays(nickname)],
    })),
    {
      updateOnDuplicate: ['contact', 'language', 'allergens', 'takenOutAt'],
      conflictAttributes: ['programmeId', 'nickname'],
      transaction,
    },
  );
  if (known.length > 0) await HomeRow.increment('revision', { where: { id: known.map(({ id }) => id) }, transaction });
  const rows = await HomeRow.findAll({ where: { programmeId, nickname: { [Op.in]: nicknames } }, transaction });
  const withIds = homes.map((home) => ({ id: rows.find(({ nickname }) => nickname === home.nickname)!.id, home }));
  await followChildren(withIds, transaction);
  await writeContents(programmeId, withIds, { thingIds, transaction });
  return kept;
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
        id: randomUUID(),
        homeId: id,
        position,
        ...child,
        mouthing,
        leftHanded,
        needs,
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
