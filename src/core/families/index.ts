/** Tables of families as people keep them, and as they go out again. */

export { COLUMN_ROLES, type ColumnRole, guessColumns } from './columns.ts';
export { readFamilies } from './families.ts';
export type { CellNote, FamilyReading } from './tableFamily.ts';
