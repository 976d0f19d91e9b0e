/** Numbers from 0 to below 1 that look like chance and are the same for the same seed (xorshift, Marsaglia 2003). */
export function seededChance(seed: number): () => number {
  let state = (Math.imul(seed, 2654435761) ^ 0x9e3779b9) >>> 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 4294967296;
  };
}
