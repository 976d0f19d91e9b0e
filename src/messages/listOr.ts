/** Names joined as one says them: “a, b or c”, in the language of a guide. None: empty. */
export function listOr(names: readonly string[], locale: string): string {
  return new Intl.ListFormat(locale, { type: 'disjunction' }).format(names);
}
