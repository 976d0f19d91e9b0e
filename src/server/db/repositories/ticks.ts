import { Op } from 'sequelize';
import { now } from '../../clock.ts';
import { TickRow } from '../tickModels.ts';
import { tables } from '../tables.ts';

/** The tasks of a programme that somebody ticked off. One query. */
export async function readTicks(programmeId: string): Promise<ReadonlySet<string>> {
  tables();
  const rows = await TickRow.findAll({ where: { programmeId }, attributes: ['task'] });
  return new Set(rows.map(({ task }) => task));
}

/** Ticks a task off; twice is the same as once. */
export async function addTick(
  programmeId: string,
  { task, dueOn, tickedBy }: { task: string; dueOn: string; tickedBy: string },
): Promise<void> {
  tables();
  await TickRow.upsert({ programmeId, task, dueOn, tickedAt: now(), tickedBy });
}

/** Takes a tick back. */
export async function removeTick(programmeId: string, task: string): Promise<void> {
  tables();
  await TickRow.destroy({ where: { programmeId, task } });
}

/** Forgets ticks of tasks that were due before a day. */
export async function forgetTicksBefore(programmeId: string, day: string): Promise<void> {
  await TickRow.destroy({ where: { programmeId, dueOn: { [Op.lt]: day } } });
}
