import { toHtml } from 'hast-util-to-html';
import type { ListItem, PhrasingContent, Root, RootContent } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { toHast } from 'mdast-util-to-hast';
import { toMarkdown } from 'mdast-util-to-markdown';
import { toString } from 'mdast-util-to-string';
import { formatPieces } from '../expressions/index.ts';
import { LINE_KINDS, type LineKind, MOST_PASTED, type Paragraph, paragraphsOf } from '../session/index.ts';
import { wholeMinutes } from '../time/index.ts';
import type { ComposedSegment } from './composition.ts';

/** What stands around the lines of a script, in words. */
interface ScriptPageWords {
  readonly title: string;
  /** Sentences below the title: when, for whom, what for, what to fetch. */
  readonly about: readonly string[];
  /** The heading of a part with its likely minutes, a whole number. */
  readonly heading: (title: string, minutes: number) => string;
}

const ANSWER = '→ ';
const text = (value: string): PhrasingContent => ({ type: 'text', value });

/**
 * A session as a page to be read: a heading for each part with its minutes, its lines as a list, each with its kind and what one
 * expects to hear. Lines that don't come out are left out. Written as Markdown by `markdownOf`, as HTML by `htmlOf`.
 */
export function scriptPage(parts: readonly ComposedSegment[], { title, about, heading }: ScriptPageWords): Root {
  const paragraph = (words: string): RootContent => ({
    type: 'paragraph',
    children: [{ type: 'emphasis', children: [text(words)] }],
  });
  const ofPart = (part: ComposedSegment): RootContent[] => {
    const items = part.lines.flatMap(itemOf);
    const minutes = wholeMinutes(part.together[1]);
    return [
      { type: 'heading', depth: 2, children: [text(heading(part.segment.title, minutes))] },
      ...(items.length > 0 ? [{ type: 'list', spread: false, children: items } as RootContent] : []),
    ];
  };
  return {
    type: 'root',
    children: [
      { type: 'heading', depth: 1, children: [text(title)] },
      ...about.map(paragraph),
      ...parts.flatMap(ofPart),
    ],
  };
}

function itemOf({ line, text: words, answer }: ComposedSegment['lines'][number]): ListItem[] {
  if (!words.ok) return [];
  const said = formatPieces(words.value).trim();
  const expected = answer?.ok ? formatPieces(answer.value).trim() : '';
  const children: PhrasingContent[] = [
    { type: 'strong', children: [text(line.kind)] },
    text(` ${said}${expected ? ' ' : ''}`),
    ...(expected ? [{ type: 'emphasis', children: [text(`${ANSWER}${expected}`)] } as PhrasingContent] : []),
  ];
  return [{ type: 'listItem', children: [{ type: 'paragraph', children }] }];
}

/** A page as Markdown (CommonMark). */
export function markdownOf(page: Root): string {
  return toMarkdown(page, { bullet: '-', emphasis: '*' });
}

/** A page as one file of HTML, whose text is escaped; `language` is its tag, such as en-GB. */
export function htmlOf(page: Root, { title, language }: { readonly title: string; readonly language: string }): string {
  const head = toHtml({
    type: 'element',
    tagName: 'title',
    properties: {},
    children: [{ type: 'text', value: title }],
  });
  return `<!doctype html>\n<html lang="${language}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">${head}<style>${STYLE}</style></head><body>\n${toHtml(toHast(page))}\n</body></html>\n`;
}

const STYLE =
  'body{font:1.1rem/1.5 sans-serif;max-width:42rem;margin:2rem auto;padding:0 1rem}h2{margin-top:2rem}li{margin:.4rem 0}li strong{margin-right:.4rem}';

/**
 * What a page of Markdown says, for `readPasted`. A list item that begins with a kind in bold is a line of that kind, taken whole,
 * with what is expected in italics at its end; other paragraphs are as if they had been pasted. Above the parts of a script, and
 * in italics below their headings, stands what is about it: that is no line. An empty text has none; one with more marks than
 * anybody writes, which would take minutes, is read as plain text.
 */
export function paragraphsOfMarkdown(markdown: string): Paragraph[] {
  if (isTooMuch(markdown)) return paragraphsOf(markdown);
  const { children } = fromMarkdown(markdown);
  const headings = children.flatMap((node) => (node.type === 'heading' ? [node.depth] : []));
  const isScript = headings[0] === 1 && headings.filter((depth) => depth === 1).length === 1 && headings.length > 1;
  let isAbove = isScript;
  return children.flatMap((node): Paragraph[] => {
    if (node.type === 'heading') {
      const isTitle = isScript && node.depth === 1;
      if (!isTitle) isAbove = false;
      return isTitle ? [] : [{ text: toString(node), isHeading: true }];
    }
    if (isAbove || isAboutIt(node)) return [];
    return node.type === 'list' ? node.children.map(readItem) : [{ text: toString(node) }];
  });
}

const MOST_BRACKETS = 2000;
const DEEPEST_QUOTE = 16;

/** What parsers of Markdown take longer and longer over: thousands of brackets, quotations in quotations. */
function isTooMuch(markdown: string): boolean {
  if (markdown.length > MOST_PASTED || markdown.split('[').length > MOST_BRACKETS) return true;
  return markdown.split('\n').some((line) => /^[\s>*+\-\d.)]*/.exec(line)![0].split('>').length > DEEPEST_QUOTE);
}

const isAboutIt = (node: RootContent) =>
  node.type === 'paragraph' && node.children.length === 1 && node.children[0]!.type === 'emphasis';

function readItem(item: ListItem): Paragraph {
  const whole = toString(item);
  const [paragraph] = item.children;
  const [first, ...rest] = paragraph?.type === 'paragraph' ? paragraph.children : [];
  const kind = first?.type === 'strong' ? kindNamed(toString(first)) : undefined;
  if (!kind) return { text: whole };
  const last = rest.at(-1);
  const isAnswered = last?.type === 'emphasis' && toString(last).startsWith(ANSWER);
  const said = toString(isAnswered ? rest.slice(0, -1) : rest).trim();
  const answer = isAnswered ? toString(last).slice(ANSWER.length) : undefined;
  return { text: whole, line: { kind, text: said, ...(answer && { answer }) } };
}

function kindNamed(word: string): LineKind | undefined {
  return LINE_KINDS.find((kind) => kind === word.trim().toLowerCase());
}
