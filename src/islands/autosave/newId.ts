/** An id for a new part or line, unique within a session. Works where the page is not served over https, too. */
export function newId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(8)), (byte) => byte.toString(16).padStart(2, '0')).join('');
}
