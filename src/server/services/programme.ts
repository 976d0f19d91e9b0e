import { holdProgramme, writeSettings } from '../db/repositories/programmes.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { checkForm } from '../../contracts/problems.ts';
import { programmeForm, readSettings, type ProgrammeSettings } from '../../contracts/programme.ts';
import { isSameValue } from '../db/sameValue.ts';
import { EdgeError } from '../http/errors.ts';
import { LEAST_PACE, MOST_PACE } from '../../contracts/makerSource.ts';
import { VARIANTS, waysOf } from '../../core/makers/index.ts';
import { findMaker } from '../../makers/index.ts';
import { answersKey } from '../../core/session/index.ts';
import type { Person } from './person.ts';

/** Keeps a programme's settings; only an owner may. What it decided about cautions stays. */
export async function keepProgramme(person: Person, form: URLSearchParams): Promise<ProgrammeSettings> {
  const checked = checkForm(programmeForm, {
    ...Object.fromEntries(form),
    weekend: form.getAll('weekend'),
    closed: (form.get('closed') ?? '').split(/\s+/).filter(Boolean),
    ...Object.fromEntries(['zeroEarly', 'pastTen', 'playOnly', 'isLeftHanded'].map((name) => [name, form.has(name)])),
  });
  const seen = form.get('revision');
  return changeSettings(person, (settings, revision) => {
    if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
    const { weekend, closed, seatedMinutesPerYear, sendWorkingDays, paper, screens, timeZone, keepMonths, ...rest } =
      checked.value;
    const { wordOrder, wordsAtOnce, restAfter, wordsKeptBy, ...numbers } = rest;
    const words = {
      ...(wordOrder !== undefined && { order: wordOrder }),
      atOnce: wordsAtOnce,
      restAfter,
      keptBy: wordsKeptBy,
    };
    const wanted = {
      ...settings,
      weekend,
      closed,
      seatedMinutesPerYear,
      sendWorkingDays,
      paper,
      screens,
      timeZone,
      keepMonths,
      words,
      numbers,
    };
    // The second of two owners is told, unless both say the same.
    if (seen !== null && Number(seen) !== revision && !isSameValue(wanted, settings))
      throw new EdgeError('conflict', { current: { revision } });
    return wanted;
  });
}

/** What a maker's minutes are multiplied by for each way of running it, after homes' answers; undefined when none answered. */
export function pacesOf({ makerPaces }: ProgrammeSettings, maker: string): Record<string, number> | undefined {
  const ways = findMaker(maker);
  const corrected = (ways ? waysOf(ways) : VARIANTS).flatMap((variant) => {
    const pace = makerPaces?.[answersKey({ maker, values: { variant } })];
    return pace ? [[variant, Math.min(MOST_PACE, Math.max(LEAST_PACE, pace.factor))] as const] : [];
  });
  return corrected.length > 0 ? Object.fromEntries(corrected) : undefined;
}

/** Changes a programme's settings as they are kept now, held meanwhile: two owners do not undo each other. Only an owner may. */
export async function changeSettings(
  person: Person,
  change: (settings: ProgrammeSettings, revision: number) => { [name in keyof ProgrammeSettings]: unknown },
  within?: Transaction,
): Promise<ProgrammeSettings> {
  if (person.role !== 'owner') throw new EdgeError('not-allowed');
  const work = async (transaction: Transaction) => {
    const programme = await holdProgramme(person.programmeId, transaction);
    if (!programme) throw new EdgeError('not-found');
    const settings = readSettings(change(programme.settings, programme.revision));
    await writeSettings(programme, settings, transaction);
    return settings;
  };
  return within ? work(within) : inTransaction(work);
}
