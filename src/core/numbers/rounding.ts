/** Rounds to so many decimals, halves up, forgiving the last bits of binary fractions (1.005 to two is 1.01). */
export function roundTo(value: number, decimals: number): number {
  const scale = 10 ** decimals;
  const scaled = value * scale;
  const rounded = Math.floor(scaled + 0.5 + 1e-9 * Math.max(1, Math.abs(scaled) * 1e-3)) / scale;
  return rounded === 0 ? 0 : rounded;
}
