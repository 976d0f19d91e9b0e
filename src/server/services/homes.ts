import { inTransaction, type Transaction } from '../db/transaction.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import { randomUUID } from 'node:crypto';
import { ownWordsOf } from '../../core/cautions/index.ts';
import { homeForm, MOST_HOMES, type HomeForm } from '../../contracts/homeForm.ts';
import { checkForm } from '../../contracts/problems.ts';
import { isRevision, NO_REVISION } from '../../contracts/revision.ts';
import { now } from '../clock.ts';
import { hold } from '../db/hold.ts';
import {
  countHomes,
  findHomeByName,
  findHomeIds,
  readHomeRevision,
  readHomes,
  readTakenOut,
  setTakenOut,
  type KeptHome,
} from '../db/repositories/homes.ts';
import { readThingIds, withThoseItHasNot, writeHome } from '../db/repositories/homeWrites.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { isSameValue } from '../db/sameValue.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { takeThings } from './starter.ts';

/** A page of the list of homes shows so many. */
export const HOMES_A_PAGE = 100;

/** A page of the homes of a programme by name, or of those whose name holds a text, and the names of what they have. Four queries. */
export async function listHomes(
  { programmeId }: Pick<Person, 'programmeId'>,
  { page = 1, name }: { page?: number; name?: string | undefined } = {},
): Promise<{ homes: KeptHome[]; total: number; things: ThingsByKey }> {
  const from = (Math.max(1, page) - 1) * HOMES_A_PAGE;
  const [{ ids, total }, things] = await Promise.all([
    findHomeIds(programmeId, { from, most: HOMES_A_PAGE, name }),
    readThings(programmeId),
  ]);
  return { homes: await readHomes(programmeId, { ids }), total, things };
}

/** Homes that were taken out and may come back. One query. */
export const listTakenOut = (person: Person) => readTakenOut(person.programmeId);

/** One home as its form shows it; an error when it is not this programme's. */
export async function findHome(
  person: Person,
  id: string,
  transaction?: Transaction,
): Promise<{ home: HomeForm; revision: number }> {
  const revision = await readHomeRevision(person.programmeId, id, transaction);
  if (revision === null) throw new EdgeError('not-found');
  const [kept] = await readHomes(person.programmeId, { transaction, ids: [id] });
  return { home: asForm(kept!), revision };
}

function asForm({ nickname, contact, language, allergens, children, stock, hasNot = [] }: KeptHome): HomeForm {
  return {
    nickname,
    contact,
    language,
    allergens: allergens.filter((name) => !ownWordsOf([name]).length) as HomeForm['allergens'],
    alsoAvoids: ownWordsOf(allergens),
    children: children.map(({ mouthing = false, leftHanded = false, needs = '', loves = '', ...child }) => ({
      ...child,
      loves,
      mouthing,
      leftHanded,
      needs,
    })),
    // One that it has not stands there with none, and stays so when the form is kept.
    things: withThoseItHasNot(stock, hasNot),
  };
}

/** Adds a home (`new`) or keeps what a form says of one, if nobody kept another meanwhile. Gives its id. */
export async function keepHome(
  person: Person,
  id: string,
  body: { home?: unknown; revision?: unknown },
): Promise<string> {
  requireAuthor(person);
  const checked = checkForm(homeForm, asFields(body.home));
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const home = checked.value;
  const { revision } = body;
  const isNew = id === 'new';
  if (!isNew && !isRevision(revision)) throw new EdgeError('wrong-input', { problems: [NO_REVISION] });
  return inTransaction(async (transaction) => {
    await hold(`${person.programmeId}/homes`, transaction);
    if (!isNew) {
      const current = await findHome(person, id, transaction);
      // Ours arrived, and only the answer was lost.
      if (current.revision === (revision as number) + 1 && isSameValue(sorted(current.home), sorted(home))) return id;
      if (current.revision !== revision) throw new EdgeError('conflict', { current });
    }
    await refuseSameName(person, { id, nickname: home.nickname }, transaction);
    if (isNew) await refuseTooMany(person.programmeId, 1, transaction);
    const homeId = isNew ? randomUUID() : id;
    await writeChecked(person, { homeId, home, revision: isNew ? 1 : (revision as number) + 1 }, transaction);
    return homeId;
  });
}

/** A programme has so many homes at most; those that were taken out do not count. */
export async function refuseTooMany(programmeId: string, more: number, transaction: Transaction): Promise<void> {
  const count = await countHomes(programmeId, transaction);
  if (count + more > MOST_HOMES)
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'homes', message: `can be at most ${MOST_HOMES} in one programme, and there are ${count}` }],
    });
}

const sorted = (home: HomeForm) => ({
  ...home,
  things: [...home.things].sort((left, right) => (left.item < right.item ? -1 : 1)),
});

async function refuseSameName(
  person: Person,
  { id, nickname }: { id: string; nickname: string },
  transaction: Transaction,
): Promise<void> {
  const same = await findHomeByName(person.programmeId, nickname, transaction);
  if (!same || same.id === id) return;
  const message = same.isTakenOut
    ? 'belongs to a home that was taken out; bring that one back from the foot of Homes, or choose another'
    : 'belongs to another home already; choose another';
  throw new EdgeError('wrong-input', { problems: [{ path: 'nickname', message }] });
}

async function writeChecked(
  { programmeId }: Person,
  { homeId, home, revision }: { homeId: string; home: HomeForm; revision: number },
  transaction: Transaction,
): Promise<void> {
  const keys = home.things.map(({ item }) => item);
  await takeThings(programmeId, keys, transaction);
  const thingIds = await readThingIds(programmeId, keys, transaction);
  const problems = home.things.flatMap(({ item }, index) =>
    thingIds.has(item)
      ? []
      : [{ path: `things[${index}].item`, message: `“${item}” is not on the shelf; pick one from the list` }],
  );
  if (problems.length > 0) throw new EdgeError('wrong-input', { problems: problems.slice(0, 50) });
  const { alsoAvoids, ...facts } = home;
  const written = { ...facts, allergens: [...home.allergens, ...alsoAvoids] };
  await writeHome(programmeId, { id: homeId, home: written, revision }, { thingIds, transaction });
}

/** Takes a home out, so that nothing more goes to it, or brings it back; what it answered stays. */
export async function takeOutHome(person: Person, id: string, isOut: boolean): Promise<void> {
  requireAuthor(person);
  if (!(await setTakenOut(person.programmeId, id, isOut ? now() : null))) throw new EdgeError('not-found');
}

function asFields(value: unknown): Record<string, unknown> {
  return typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};
}
