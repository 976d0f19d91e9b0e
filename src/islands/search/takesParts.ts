/** What a session page does with something from the shelf that was found: it puts it in. */
type TakePart = (part: { readonly kind: 'activity' | 'book' | 'song'; readonly key: string }) => void;

let taker: TakePart | null = null;

/** From now on what is found on the shelf is put in here, until the given function is called. */
export function takeFoundParts(take: TakePart): () => void {
  taker = take;
  return () => {
    if (taker === take) taker = null;
  };
}

/** Who takes parts on this page; nobody: what is found is opened. */
export const partTaker = (): TakePart | null => taker;
