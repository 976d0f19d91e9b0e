/** A sum as it is written by hand: × for times, ÷ for divided by. */
export function formatSum(source: string): string {
  return source
    .replace(/ceil\(([^()/]+)\/\s*(\d+)\s*\)/g, (_, all: string, each: string) => `${all.trim()}, ${each} from each`)
    .replace(
      /\s*([*/+-])\s*/g,
      (_, sign: string) => ` ${({ '*': '×', '/': '÷', '-': '−' } as Record<string, string>)[sign] ?? sign} `,
    )
    .replaceAll('( ', '(');
}
