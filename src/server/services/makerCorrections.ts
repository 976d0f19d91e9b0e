import { LEAST_PACE, MOST_PACE } from '../../contracts/makerSource.ts';
import { roundTo } from '../../core/numbers/index.ts';
import { answersKey, type Session } from '../../core/session/index.ts';
import { correctionFactor, evaluateMinutes, spreadOf } from '../../core/time/index.ts';
import { choiceWord } from '../../messages/makers.ts';
import { now } from '../clock.ts';
import { readTimedMakerAnswers } from '../db/repositories/corrections.ts';
import { holdProgramme, writeSettings } from '../db/repositories/programmes.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { EdgeError } from '../http/errors.ts';
import type { Correction } from './corrections.ts';
import { requireAuthor, type Person } from './person.ts';

/** True for the name that answers about a part straight from a maker are kept under. */
export const isMakerKey = (key: string): boolean => key.startsWith('maker:');

/** Corrections of parts of a session that come straight from makers; none, and no query, where there are no such parts. */
export async function findMakerCorrections(
  person: Person,
  { segments }: Session,
  transaction?: Transaction,
): Promise<Correction[]> {
  const parts = new Map(
    segments
      .filter(({ from, made }) => !from && made?.values.variant !== undefined)
      .map((segment) => [answersKey(segment.made!), segment] as const)
      .reverse(),
  );
  if (parts.size === 0) return [];
  const factors = await factorsOf(person, [...parts.keys()], transaction);
  return [...parts].reverse().flatMap(([key, segment]) => {
    const { together, alone } = evaluateMinutes(segment);
    const planned = roundTo(spreadOf(together).mean + spreadOf(alone).mean, 1);
    const answered = factors.get(key);
    if (!answered || planned === 0) return [];
    const title = `${segment.title}, ${choiceWord(segment.made!.maker, String(segment.made!.values.variant))}`;
    return [{ key, title, planned, likely: roundTo(planned * answered.factor, 1), ...answered }];
  });
}

async function factorsOf(
  person: Person,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<Map<string, { factor: number; homes: number }>> {
  const answers = await readTimedMakerAnswers(person.programmeId, keys, transaction);
  return new Map(
    keys.flatMap((key) => {
      const ratios = answers.filter((answer) => answer.key === key).map(({ minutes, planned }) => minutes / planned);
      const factor = roundTo(correctionFactor(ratios, person.settings.calibrationWeight), 3);
      return ratios.length > 0 ? [[key, { factor, homes: ratios.length }] as const] : [];
    }),
  );
}

/**
 * Takes a correction into the programme: the minutes of this maker in this way of running it, for every part made from now
 * on. The settings are held meanwhile, so that a second press, or an owner's change, neither repeats nor undoes it.
 */
export async function adoptMakerCorrection(person: Person, key: string): Promise<void> {
  requireAuthor(person);
  await inTransaction(async (transaction) => {
    const programme = await holdProgramme(person.programmeId, transaction);
    const answered = (await factorsOf(person, [key], transaction)).get(key);
    if (!programme || !answered) throw new EdgeError('not-found');
    const before = programme.settings.makerPaces[key]?.factor ?? 1;
    const factor = roundTo(Math.min(MOST_PACE, Math.max(LEAST_PACE, before * answered.factor)), 3);
    const pace = { factor, last: answered.factor, at: now().toISOString() };
    const settings = { ...programme.settings, makerPaces: { ...programme.settings.makerPaces, [key]: pace } };
    await writeSettings(programme, settings, transaction);
  });
}
