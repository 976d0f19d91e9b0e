/** After so long others are let in before long work goes on. */
const MS_AT_A_STRETCH = 20;

/** Works through a list in order, letting other requests in between; an empty list gives an empty one. */
export async function inSlices<Item, Result>(
  items: readonly Item[],
  work: (item: Item, index: number) => Result,
): Promise<Result[]> {
  const results: Result[] = [];
  let began = performance.now();
  for (const [index, item] of items.entries()) {
    results.push(work(item, index));
    if (performance.now() - began < MS_AT_A_STRETCH) continue;
    await new Promise((next) => setImmediate(next));
    began = performance.now();
  }
  return results;
}
