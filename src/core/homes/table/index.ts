/** Tables of families as people keep them, and as they go out again. */

export { COLUMN_ROLES, type ColumnRole, guessColumns } from './columns.ts';
export { type CellNote, type FamilyReading, readFamilies, type TableFamily } from './families.ts';
