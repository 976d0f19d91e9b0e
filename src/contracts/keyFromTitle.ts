/**
 * The short name that a title is kept under: small letters and digits of any script, joined by hyphens, at most 80.
 * A title without any gives an empty one.
 * @example keyFromTitle('Who is on the wall?') // 'who-is-on-the-wall'
 */
export function keyFromTitle(title: string): string {
  return title
    .normalize('NFC')
    .toLowerCase()
    .replace(/['’]/g, '')
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, '-')
    .slice(0, 80)
    .replace(/^-+|-+$/g, '');
}
