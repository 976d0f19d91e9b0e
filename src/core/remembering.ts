/**
 * A pure function of a text that remembers what it gave for the last so many texts. Nothing differs by what is remembered, so
 * it may differ between processes.
 */
export function rememberLast<Value>(most: number, work: (text: string) => Value): (text: string) => Value {
  const known = new Map<string, Value>();
  return (text) => {
    if (known.has(text)) {
      const value = known.get(text)!;
      known.delete(text);
      known.set(text, value);
      return value;
    }
    const value = work(text);
    known.set(text, value);
    if (known.size > most) known.delete(known.keys().next().value!);
    return value;
  };
}
