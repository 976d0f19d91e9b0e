import type { Finding } from '../../core/checks/index.ts';
import type { ComposedSegment } from '../../core/guide/index.ts';

/** About how many lines of script stand beside one finding; what comes sooner joins the group above, so that no gap opens. */
const ROWS_A_FINDING_TAKES = 3;

/** Findings by the grid row of the line they are about; each group spans down to the next. */
export function groupByRow(
  findings: readonly Finding[],
  { lines }: ComposedSegment,
): { row: number; span: number; group: Finding[] }[] {
  const rows = new Map<number, Finding[]>();
  for (const finding of findings) {
    const index = lines.findIndex(({ line }) => line.id === finding.line);
    const row = index < 0 ? 1 : index + 2;
    rows.set(row, [...(rows.get(row) ?? []), finding]);
  }
  const groups: { row: number; group: Finding[] }[] = [];
  for (const [row, group] of [...rows].sort(([left], [right]) => left - right)) {
    const last = groups.at(-1);
    const isCrowded = last && row < last.row + ROWS_A_FINDING_TAKES * last.group.length;
    if (isCrowded) last.group.push(...group);
    else groups.push({ row, group });
  }
  const end = lines.length + 5;
  return groups.map(({ row, group }, index) => ({
    row,
    span: Math.max(1, (groups[index + 1]?.row ?? end) - row),
    group,
  }));
}
