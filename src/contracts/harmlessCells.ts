/** What a program for tables would take for a formula when the file is opened there. */
const FORMULA = /^'*[=+\-@\t\r]/;

/** A cell that no program for tables runs as a formula; `withoutMark` takes the mark away again. */
export function harmless(cell: unknown): unknown {
  return typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell;
}

/** The cell as it was before `harmless`. */
export function withoutMark(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell;
}
