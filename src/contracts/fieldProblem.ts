/** Something wrong with what was handed in: where, and what. */
export interface FieldProblem {
  readonly path: string;
  readonly message: string;
}
