import type { SwapRuling } from '../../../core/materials/index.ts';
import { now } from '../../clock.ts';
import { SwapRulingRow } from '../models.ts';
import { tables } from '../tables.ts';

/** What authors of a programme decided about swaps. One query. */
export async function readRulings(programmeId: string): Promise<(SwapRuling & { wanted: string })[]> {
  tables();
  const rows = await SwapRulingRow.findAll({ where: { programmeId } });
  return rows.map(({ wanted, item, verdict, fit, why }) => ({ wanted, item, verdict, fit, why }));
}

/** Remembers a decision, in place of an earlier one about the same two things. */
export async function writeRuling(
  programmeId: string,
  ruling: SwapRuling & { wanted: string },
  ruledBy: string,
): Promise<void> {
  tables();
  await SwapRulingRow.upsert({ programmeId, ...ruling, ruledBy, ruledAt: now() });
}

/** Forgets a decision. */
export async function removeRuling(
  programmeId: string,
  { wanted, item }: { wanted: string; item: string },
): Promise<void> {
  tables();
  await SwapRulingRow.destroy({ where: { programmeId, wanted, item } });
}
