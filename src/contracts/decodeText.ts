/**
 * The text of a file's bytes and the encoding it was read in: UTF-8 or UTF-16 by their marks, otherwise UTF-8 where the
 * bytes are sound, otherwise the common single-byte encoding of western office programs. An empty file gives no text.
 */
export function decodeText(bytes: Uint8Array): {
  text: string;
  encoding: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';
} {
  const decode = (encoding: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252') => ({
    text: new TextDecoder(encoding).decode(bytes),
    encoding,
  });
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return decode('utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return decode('utf-16be');
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    return decode('windows-1252');
  }
}
