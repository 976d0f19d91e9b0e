import { checkShape } from '../../contracts/problems.ts';
import { familiesBody, type FamilyOfTable, writeHomesCsv } from '../../contracts/familyTable.ts';
import { GUIDE_LANGUAGE_IDS } from '../../core/languages.ts';
import { hold } from '../db/hold.ts';
import { findHomesByNames, readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { readThingIds, withThoseItHasNot, writeHomes, type WrittenHome } from '../db/repositories/homeWrites.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { inTransaction } from '../db/transaction.ts';
import { EdgeError } from '../http/errors.ts';
import { refuseTooMany } from './homes.ts';
import { requireAuthor, type Person } from './person.ts';
import { takeThings } from './starter.ts';

/** How many homes a table added and how many that were there it changed. */
export interface FamiliesReport {
  readonly added: number;
  readonly changed: number;
}

/**
 * Takes homes of a table in, all of them or none: new ones are added, and of those of the same name only what the table says
 * is changed. Children it does not name stay, and so does an allergy that was known.
 */
export async function bringInFamilies(person: Person, body: unknown): Promise<FamiliesReport> {
  requireAuthor(person);
  const checked = checkShape(familiesBody, body);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const { families } = checked.value;
  refuseTwice(families);
  refuseSameChildren(families);
  return inTransaction(async (transaction) => {
    const { programmeId } = person;
    await hold(`${programmeId}/homes`, transaction);
    const named = await findHomesByNames(
      programmeId,
      families.map(({ nickname }) => nickname),
      transaction,
    );
    refuseTakenOut(families, named);
    await refuseTooMany(programmeId, families.length - named.length, transaction);
    const known = await readHomes(programmeId, { ids: named.map(({ id }) => id), transaction });
    const homes = families.map((family) =>
      written(
        family,
        known.find(({ nickname }) => nickname === family.nickname),
      ),
    );
    const keys = homes.flatMap(({ things }) => things.map(({ item }) => item));
    await takeThings(programmeId, keys, transaction);
    const thingIds = await readThingIds(programmeId, keys, transaction);
    refuseUnknownThings(homes, thingIds);
    await writeHomes(programmeId, homes, { thingIds, transaction });
    return { added: families.length - known.length, changed: known.length };
  });
}

/** A home as it is written: what the table says, and the rest as it was. */
function written(family: FamilyOfTable, kept: KeptHome | undefined): WrittenHome {
  const avoids = [...(family.allergens ?? []), ...(family.alsoAvoids ?? [])];
  const has = family.things ?? kept?.stock ?? [];
  const had = new Set(has.map(({ item }) => item));
  const hasNot = (family.hasNot ?? kept?.hasNot ?? []).filter((item) => !had.has(item));
  const named = new Set(family.children.map(({ nickname }) => nickname));
  return {
    nickname: family.nickname,
    contact: family.contact ?? kept?.contact ?? '',
    language: family.language ?? kept?.language ?? GUIDE_LANGUAGE_IDS[0]!,
    allergens: avoids.length > 0 || !kept ? avoids : kept.allergens,
    children: [
      ...family.children.map((child) => ({
        loves: '',
        ...kept?.children.find(({ nickname }) => nickname === child.nickname),
        ...withoutAbsent(child),
      })),
      ...(kept?.children ?? [])
        .filter(({ nickname }) => !named.has(nickname))
        .map((child) => ({ ...child, loves: child.loves ?? '' })),
    ],
    things: withThoseItHasNot(has, hasNot),
  };
}

function withoutAbsent<Value extends object>(value: Value): Value {
  return Object.fromEntries(Object.entries(value).filter(([, entry]) => entry !== undefined)) as Value;
}

const refuse = (problems: { path: string; message: string }[]) => {
  if (problems.length > 0) throw new EdgeError('wrong-input', { problems: problems.slice(0, 50) });
};

function refuseTwice(families: readonly FamilyOfTable[]): void {
  const names = families.map(({ nickname }) => nickname);
  refuse(
    names.flatMap((name, index) =>
      names.indexOf(name) < index ? [{ path: `families[${index}].nickname`, message: 'is there twice' }] : [],
    ),
  );
}

function refuseSameChildren(families: readonly FamilyOfTable[]): void {
  refuse(
    families.flatMap(({ children }, index) =>
      new Set(children.map(({ nickname }) => nickname)).size < children.length
        ? [{ path: `families[${index}].children`, message: 'has two children of one name; tell them apart' }]
        : [],
    ),
  );
}

function refuseTakenOut(families: readonly FamilyOfTable[], named: Awaited<ReturnType<typeof findHomesByNames>>): void {
  const out = new Set(named.filter(({ isTakenOut }) => isTakenOut).map(({ nickname }) => nickname));
  refuse(
    families.flatMap(({ nickname }, index) =>
      out.has(nickname)
        ? [
            {
              path: `families[${index}].nickname`,
              message: 'belongs to a home that was taken out; bring that one back from the foot of Homes first',
            },
          ]
        : [],
    ),
  );
}

function refuseUnknownThings(homes: readonly WrittenHome[], thingIds: ReadonlyMap<string, string>): void {
  refuse(
    homes.flatMap(({ things }, index) =>
      things.flatMap(({ item }) =>
        thingIds.has(item)
          ? []
          : [{ path: `families[${index}].things`, message: `names “${item}”, which is not on the shelf` }],
      ),
    ),
  );
}

/** Every home of the programme as CSV. */
export async function exportHomesCsv(person: Person): Promise<string> {
  requireAuthor(person);
  const [homes, things] = await Promise.all([readHomes(person.programmeId), readThings(person.programmeId)]);
  const languages = new Intl.DisplayNames('en-GB', { type: 'language' });
  return writeHomesCsv(homes, {
    thing: (item) => things[item]?.many ?? item,
    language: (id) => languages.of(id) ?? id,
  });
}
