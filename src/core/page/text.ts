/**
 * Advance widths of the shipped early reader's face (Andika 400) for the characters from space to tilde, in thousandths
 * of its height; read from the font file. Other characters count as wide as an n.
 */
const ADVANCES = [
  269, 373, 500, 586, 586, 745, 597, 295, 388, 388, 502, 586, 317, 420, 313, 488, 586, 586, 586, 586, 586, 586, 586,
  586, 586, 586, 313, 317, 586, 586, 586, 513, 831, 681, 627, 662, 701, 566, 562, 693, 720, 476, 471, 640, 527, 876,
  732, 713, 583, 720, 637, 574, 618, 703, 667, 1016, 647, 645, 601, 386, 488, 386, 415, 622, 283, 562, 564, 498, 581,
  535, 366, 549, 574, 276, 291, 505, 276, 823, 579, 557, 571, 552, 435, 471, 408, 579, 522, 757, 530, 518, 508, 488,
  337, 488, 544,
];
const OTHER = 579;
/** The bold face is a little wider. */
const BOLD = 1.07;
/** Height of capitals and numerals, as a part of the type's height. */
export const CAP_HEIGHT = 0.725;

/** How wide a text stands in millimetres; an empty one has no width. */
export function textWidth(text: string, size: number, isBold = false): number {
  let thousandths = 0;
  for (const character of text) thousandths += ADVANCES[character.codePointAt(0)! - 32] ?? OTHER;
  return (thousandths / 1000) * size * (isBold ? BOLD : 1);
}

/** Breaks a text into lines that are no wider than so many millimetres; a word that is wider stands alone. */
export function breakLines(text: string, size: number, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const longer = line ? `${line} ${word}` : word;
    if (line && textWidth(longer, size) > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return line ? [...lines, line] : lines;
}

/** The largest type, up to `most`, in which a text is no wider than so many millimetres. */
export function fittingSize(text: string, width: number, most: number, isBold = false): number {
  const at = textWidth(text, most, isBold);
  return at <= width ? most : (most * width) / at;
}
