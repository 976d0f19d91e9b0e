/** How a thing is named in a line: many of it, one, with how many are used, or one or many by a number. */
type ThingForm = 'many' | 'one' | 'count' | { readonly by: string };

/**
 * A piece of a line's content. `written` is how a piece stands in the stored string where that is not how it is printed
 * (`{ n }` for `{n}`), so that printing gives back what was read.
 */
export type ContentNode =
  | { readonly kind: 'text'; readonly text: string }
  /** The number, or the choice, of a dial. */
  | { readonly kind: 'dial'; readonly name: string; readonly written?: string }
  | { readonly kind: 'sum'; readonly expression: string; readonly written?: string }
  /** A word for one, or for any other number. */
  | {
      readonly kind: 'by-number';
      readonly expression: string;
      readonly isSum: boolean;
      readonly one: string;
      readonly many: string;
      readonly written?: string;
    }
  /** What a home uses for a need, by the need's id. */
  | { readonly kind: 'thing'; readonly need: string; readonly form: ThingForm; readonly written?: string }
  /** What the child loves; the words for a home that did not say. */
  | { readonly kind: 'loves'; readonly otherwise: string; readonly written?: string }
  /** The child's name; the words for a home that did not say. */
  | { readonly kind: 'child'; readonly otherwise: string; readonly written?: string }
  /** A brace that nothing closes: the rest of the line, with the brace. */
  | { readonly kind: 'unclosed'; readonly rest: string };

/** Any piece but text. */
export type Slot = Exclude<ContentNode, { readonly kind: 'text' }>;

/** The content of a line; neighbouring texts are one. */
export type Content = readonly ContentNode[];

/**
 * Reads a stored line. In braces stand: a dial `{n}`, a sum `{=n*4}`, words by number `{n:plate|plates}` (or
 * `{=n*4:lid|lids}`), the thing a home uses for a need (many `{@lids}`, one `{@lids|one}`, by a number `{@lids|n-1}`, or
 * with how many are used `{@lids|count}`), what the child loves `{loves|a digger}`, and its name `{child|your child}`. A
 * doubled brace `{{` is a brace. Empty text has no pieces. Nothing is refused: what is in braces is told from its start.
 * @example parseContent('Put {n} out') // text "Put ", dial "n", text " out"
 */
export function parseContent(source: string): ContentNode[] {
  const content: ContentNode[] = [];
  let plain = '';
  let at = 0;
  const push = (node: ContentNode) => {
    if (plain) content.push({ kind: 'text', text: plain });
    plain = '';
    content.push(node);
  };
  while (at < source.length) {
    const character = source[at]!;
    if (character !== '{' || source[at + 1] === '{') {
      plain += character;
      at += character === '{' ? 2 : 1;
      continue;
    }
    const end = source.indexOf('}', at);
    if (end < 0) {
      push({ kind: 'unclosed', rest: source.slice(at) });
      return content;
    }
    push(parseSlot(source.slice(at, end + 1)));
    at = end + 1;
  }
  if (plain) content.push({ kind: 'text', text: plain });
  return content;
}

/** The stored string of a line's content: what `parseContent` reads it from, to the letter. No content: an empty string. */
export function printContent(content: Content): string {
  return content.map(printNode).join('');
}

/** How a single piece stands in the stored string. */
export function printNode(node: ContentNode): string {
  if (node.kind === 'text') return escapeBraces(node.text);
  if (node.kind === 'unclosed') return node.rest;
  return node.written ?? printed(node);
}

/** Text as a template that gives it back unchanged: braces are doubled. */
export function escapeBraces(text: string): string {
  return text.replaceAll('{', '{{');
}

type ClosedSlot = Exclude<Slot, { kind: 'unclosed' }>;

function parseSlot(written: string): ClosedSlot {
  const slot = readSlot(written.slice(1, -1));
  return printed(slot) === written ? slot : { ...slot, written };
}

function readSlot(inside: string): ClosedSlot {
  if (inside.startsWith('@')) return readThing(inside.slice(1));
  for (const kind of ['loves', 'child'] as const)
    if (inside.startsWith(`${kind}|`)) return { kind, otherwise: inside.slice(kind.length + 1) };
  const colon = inside.indexOf(':');
  const value = (colon < 0 ? inside : inside.slice(0, colon)).trim();
  const isSum = value.startsWith('=');
  const expression = isSum ? value.slice(1).trim() : value;
  if (colon >= 0) {
    const [one = '', many = one] = inside.slice(colon + 1).split('|');
    return { kind: 'by-number', expression, isSum, one, many };
  }
  return isSum ? { kind: 'sum', expression } : { kind: 'dial', name: expression };
}

function readThing(inside: string): ClosedSlot {
  const bar = inside.indexOf('|');
  const need = (bar < 0 ? inside : inside.slice(0, bar)).trim();
  const form = bar < 0 ? 'many' : inside.slice(bar + 1).trim();
  const isWord = form === 'many' || form === 'one' || form === 'count';
  return { kind: 'thing', need, form: isWord ? form : { by: form } };
}

function printed(slot: ClosedSlot): string {
  switch (slot.kind) {
    case 'dial':
      return `{${slot.name}}`;
    case 'sum':
      return `{=${slot.expression}}`;
    case 'by-number':
      return `{${slot.isSum ? '=' : ''}${slot.expression}:${slot.one}|${slot.many}}`;
    case 'thing':
      return `{@${slot.need}${slot.form === 'many' ? '' : `|${typeof slot.form === 'object' ? slot.form.by : slot.form}`}}`;
    case 'loves':
    case 'child':
      return `{${slot.kind}|${slot.otherwise}}`;
  }
}
