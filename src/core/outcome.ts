/** What a core function gives back when the request may be refused for a reason the caller can explain. */
export type Outcome<Value, Problem> = { ok: true; value: Value } | { ok: false; problem: Problem };

/** Wraps a good answer. */
export function ok<Value>(value: Value): { ok: true; value: Value } {
  return { ok: true, value };
}

/** Wraps the reason why there is no answer. */
export function err<Problem>(problem: Problem): { ok: false; problem: Problem } {
  return { ok: false, problem };
}
