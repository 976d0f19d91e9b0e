import { escapeBraces } from '../expressions/index.ts';
import { type ThingIndex, thingsNamed } from '../materials/index.ts';
import { guessKind } from './guessKind.ts';
import { LINE_KINDS, type LineKind } from './line.ts';

/** A paragraph of a page that is pasted; where it comes from may know that it is a heading. */
export interface Paragraph {
  readonly text: string;
  readonly isHeading?: boolean | undefined;
  /** A line that a file tells whole: it is neither split nor guessed at. */
  readonly line?: Pick<PastedLine, 'kind' | 'text' | 'answer'> | undefined;
}

/** A line that was read from a page. `isGuessed`: its kind was told from its words alone. */
interface PastedLine {
  readonly kind: LineKind;
  readonly text: string;
  readonly answer?: string;
  readonly isGuessed: boolean;
}

/** A part that was read from a page: lines below a heading. */
export interface PastedPart {
  /** Null for what stands above the first heading. */
  readonly title: string | null;
  readonly lines: readonly PastedLine[];
  readonly needs: readonly { readonly item: string; readonly qty: number }[];
  /** Likely minutes together: as its heading says, or from how much there is to do. */
  readonly minutes: number;
}

/** So many characters are read of a page; what is beyond is not taken. */
export const MOST_PASTED = 200_000;
/** As many as are kept of a session, and of a part. */
const MOST_PARTS = 25;
const MOST_LINES_A_PART = 60;
const MOST_NEEDS = 20;
const LONGEST_LINE = 2000;
const LONGEST_ANSWER = 500;
const LONGEST_TITLE = 60;
const MOST_TITLE_WORDS = 8;
/** A paragraph of more letters than this is read sentence by sentence. */
const LONG_PARAGRAPH = 110;
const MINUTES_A_LINE = 0.8;

/**
 * Reads a page as parts of a session. Headings begin parts; what is in quotation marks is said, a question is asked; a kind
 * before a colon is taken at its word, and “answer:” or an arrow begins what one expects to hear. Numbers of things that the
 * shelf knows become needs. Bullets and numbering go; what is more than a part holds goes on in the next, and
 * `leftOut` counts the lines that no part had room for. An empty page has no parts.
 */
export function readPasted(
  paragraphs: readonly Paragraph[],
  index: ThingIndex,
): { readonly parts: readonly PastedPart[]; readonly leftOut: number } {
  let leftOut = 0;
  const parts: { title: string | null; minutes: number | null; lines: PastedLine[] }[] = [];
  for (const { text, isHeading, line: told } of withHeadings(paragraphs)) {
    if (text === '') continue;
    if (isHeading && parts.length < MOST_PARTS) {
      const { title, minutes } = readHeading(text);
      parts.push({ title, minutes, lines: [] });
      continue;
    }
    if (parts.length === 0) parts.push({ title: null, minutes: null, lines: [] });
    for (const line of told ? [asTold(told)] : sentencesOf(text).map(readLine)) {
      const last = parts.at(-1)!;
      if (last.lines.length < MOST_LINES_A_PART) last.lines.push(line);
      else if (parts.length < MOST_PARTS) parts.push({ title: last.title, minutes: null, lines: [line] });
      else leftOut += 1;
    }
  }
  const written = parts
    .filter(({ title, lines }) => title !== null || lines.length > 0)
    .map(({ title, minutes, lines }) => ({
      title,
      lines,
      minutes: minutes ?? Math.max(2, Math.round(lines.length * MINUTES_A_LINE)),
      needs: thingsNamed(lines.map(({ text }) => text).join(' . '), index).slice(0, MOST_NEEDS),
    }));
  return { parts: written, leftOut };
}

/** Paragraphs of plain text: one a line of it, and where a line stands after an empty one. */
export function paragraphsOf(text: string): Paragraph[] {
  return text
    .slice(0, MOST_PASTED)
    .replace(/\r\n?/g, '\n')
    .split('\n')
    .map((line) => ({ text: line.trim() }));
}

/** Which paragraphs are headings: those that are said to be, or short ones without an end that stand apart above others. */
function withHeadings(paragraphs: readonly Paragraph[]): (Paragraph & { isHeading: boolean })[] {
  const cleaned = paragraphs.map(({ text, ...rest }) => ({ ...rest, text: text.replace(/\s+/g, ' ').trim() }));
  const areTold = cleaned.some(({ isHeading }) => isHeading);
  return cleaned.map(({ text, isHeading, line }, at) => {
    const isApart = at === 0 ? endProperly(cleaned.slice(1)) : cleaned[at - 1]!.text === '';
    const leads = (cleaned[at + 1]?.text ?? '') !== '';
    const isOne = areTold ? isHeading === true : isApart && leads && looksLikeHeading(text);
    return { text: isOne ? text : unmarked(text), isHeading: isOne, line };
  });
}

/** Whether most lines that follow end as sentences do, so that one without an end is no sentence. */
function endProperly(following: readonly { readonly text: string }[]): boolean {
  const lines = following.filter(({ text }) => text !== '' && !looksLikeHeading(text));
  const others = following.filter(({ text }) => looksLikeHeading(text));
  return lines.length > others.length;
}

function looksLikeHeading(text: string): boolean {
  const bare = text.replace(/:$/, '');
  if (bare.length === 0 || bare.length > LONGEST_TITLE || bare.split(' ').length > MOST_TITLE_WORDS) return false;
  return /^[\p{Lu}\p{N}]/u.test(bare) && !/[.!?,;”"’]$/u.test(bare) && kindBefore(text) === null && !BULLET.test(text);
}

/** “Washing day (10 min)”: a title and its minutes. */
function readHeading(text: string): { title: string; minutes: number | null } {
  const said = /[\s(–—,-]*\b(\d{1,3})\s*(?:min(?:ute)?s?|’|')\b\.?\)?/iu.exec(text);
  const minutes = said && Number(said[1]) >= 1 && Number(said[1]) <= 120 ? Number(said[1]) : null;
  const title = (minutes === null ? text : text.replace(said![0], ''))
    .replace(/^\d{1,2}[.)]\s+/, '')
    .replace(/[:\s–—-]+$/u, '');
  return { title: title || 'Something to do', minutes };
}

const BULLET = /^(?:[-*•·▪◦‣–—]|\d{1,2}[.)]|[a-h][.)])\s+/u;

function unmarked(text: string): string {
  return text.replace(BULLET, '');
}

/** One line a paragraph; of a long one, one a sentence. Sentences in quotation marks stay together. */
function sentencesOf(text: string): string[] {
  if (text.length <= LONG_PARAGRAPH) return [text];
  const sentences: string[] = [];
  let current = '';
  let isQuoted = false;
  for (const [word] of text.matchAll(/\S+\s*/gu)) {
    current += word;
    for (const mark of word)
      if (mark === '“' || mark === '”' || mark === '"') isQuoted = mark === '"' ? !isQuoted : mark === '“';
    if (!isQuoted && /[.!?][”"’)]?\s+$/u.test(word)) {
      sentences.push(current.trim());
      current = '';
    }
  }
  if (current.trim()) sentences.push(current.trim());
  return sentences;
}

const cut = (part: string, most: number) =>
  escapeBraces(part).length <= most ? escapeBraces(part) : escapeBraces(part.slice(0, most / 2));

function asTold({ kind, text, answer }: NonNullable<Paragraph['line']>): PastedLine {
  return {
    kind,
    text: cut(text, LONGEST_LINE),
    ...(answer && { answer: cut(answer, LONGEST_ANSWER) }),
    isGuessed: false,
  };
}

function readLine(sentence: string): PastedLine {
  const named = kindBefore(sentence);
  const [, spoken = sentence] =
    /^(?:ask|say)(?: (?:them|him|her|your child))?[,:]?\s+(?=[“"])(.*)$/isu.exec(sentence) ?? [];
  const words = named ? sentence.slice(sentence.indexOf(':') + 1).trim() : spoken;
  const { text, answer } = splitAnswer(words);
  const kind = named ?? guessKind(text);
  return {
    kind,
    text: cut(text, LONGEST_LINE),
    ...(answer && { answer: cut(answer, LONGEST_ANSWER) }),
    isGuessed: named === null && kind !== 'do',
  };
}

function kindBefore(text: string): LineKind | null {
  const word = /^\s*(\p{L}+):\s/u.exec(text)?.[1]?.toLowerCase();
  return LINE_KINDS.find((kind) => kind === word) ?? null;
}

function splitAnswer(text: string): { text: string; answer: string | undefined } {
  const split = /^(.+?)\s*(?:→|->|=>|\(?\banswer:)\s*(.+?)\)?$/isu.exec(text);
  return split ? { text: split[1]!.trim(), answer: split[2]!.trim() } : { text, answer: undefined };
}
