import { Op } from 'sequelize';
import { addDays } from '../../core/calendar/dates.ts';
import type { DueItem } from '../../core/calendar/dueItems.ts';
import { now, today } from '../clock.ts';
import { TickRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';

/** What a tick is kept under: the task and its day, so that a session that moves asks anew. */
export function tickKey({ id, by }: Pick<DueItem, 'id' | 'by'>): string {
  return `${id}@${by}`;
}

const KEY = /^[^@\0]{1,200}@(\d{4}-\d{2}-\d{2})(T\d{2}:\d{2})?$/;
/** Ticks are forgotten once their day is so long over. */
const DAYS_KEPT = 120;

/** The tasks of a programme that somebody ticked off. One query. */
export async function readTicks(programmeId: string): Promise<ReadonlySet<string>> {
  tables();
  const rows = await TickRow.findAll({ where: { programmeId }, attributes: ['task'] });
  return new Set(rows.map(({ task }) => task));
}

/** Ticks a task off, or takes the tick back; twice is the same as once. */
export async function tick(person: Person, key: string, isDone: boolean): Promise<void> {
  requireAuthor(person);
  const dueOn = KEY.exec(key)?.[1];
  if (!dueOn) throw new EdgeError('wrong-form');
  tables();
  const { programmeId } = person;
  if (!isDone) {
    await TickRow.destroy({ where: { programmeId, task: key } });
    return;
  }
  await TickRow.upsert({ programmeId, task: key, dueOn, tickedAt: now(), tickedBy: person.userId });
  await TickRow.destroy({ where: { programmeId, dueOn: { [Op.lt]: addDays(today(), -DAYS_KEPT) } } });
}
