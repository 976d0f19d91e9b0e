import { addTick, forgetTicksBefore, removeTick } from '../db/repositories/ticks.ts';
import { addDays, type DueItem } from '../../core/calendar/index.ts';
import { today } from '../clock.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';

/** What a tick is kept under: the task and its day, so that a session that moves asks anew. */
export function tickKey({ id, by }: Pick<DueItem, 'id' | 'by'>): string {
  return `${id}@${by}`;
}

const KEY = /^[^@\0]{1,200}@(\d{4}-\d{2}-\d{2})(T\d{2}:\d{2})?$/;
/** Ticks are forgotten once their day is so long over. */
const DAYS_KEPT = 120;

/** Ticks a task off, or takes the tick back; twice is the same as once. */
export async function tick(person: Person, key: string, isDone: boolean): Promise<void> {
  requireAuthor(person);
  const dueOn = KEY.exec(key)?.[1];
  if (!dueOn) throw new EdgeError('wrong-form');
  const { programmeId } = person;
  if (!isDone) {
    await removeTick(programmeId, key);
    return;
  }
  await addTick(programmeId, { task: key, dueOn, tickedBy: person.userId });
  await forgetTicksBefore(programmeId, addDays(today(), -DAYS_KEPT));
}
