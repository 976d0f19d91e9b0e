import { mergeAttributes, Node } from '@tiptap/core';
import type { Node as DocNode } from '@tiptap/pm/model';
import type { EditorView, NodeView, ViewMutationRecord } from '@tiptap/pm/view';
import { LINE_KINDS, type LineKind } from '../../../core/session/index.ts';
import type { Places } from './places.ts';

const ScriptDoc = Node.create({ name: 'doc', topNode: true, content: 'line+' });
const ScriptText = Node.create({ name: 'text', group: 'inline' });

/** Where an answer begins, within a line. */
const AnswerNode = Node.create({
  name: 'answer',
  group: 'inline',
  inline: true,
  atom: true,
  selectable: false,
  parseHTML: () => [{ tag: 'span[data-answer]' }],
  renderHTML: () => ['span', { 'data-answer': '', class: 'text-soft', 'aria-label': 'answer' }, ' → '],
  renderText: () => ' → ',
});

/** The nodes of a script; `places` hears where its blocks and gutters stand, `wordsOf` says a block's words. */
export function scriptNodes(places: Places, wordsOf: (source: string) => string) {
  const LineNode = Node.create({
    name: 'line',
    content: 'inline*',
    defining: true,
    addAttributes: () => ({
      id: { default: null, rendered: false },
      kind: {
        default: 'do',
        parseHTML: (element: HTMLElement) => LINE_KINDS.find((kind) => kind === element.dataset.kind) ?? 'do',
        renderHTML: ({ kind }: { kind?: LineKind }) => ({ 'data-kind': kind }),
      },
    }),
    parseHTML: () => ['p', 'li', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6'].map((tag) => ({ tag })),
    renderHTML: ({ HTMLAttributes }) => ['p', HTMLAttributes, 0],
    addNodeView:
      () =>
      ({ node }) =>
        new LineView(node, places),
  });
  const ChipNode = Node.create({
    name: 'chip',
    group: 'inline',
    inline: true,
    atom: true,
    // The words are those it stood for where it was copied, for a part that does not know it.
    addAttributes: () => ({ source: { default: '', rendered: false }, words: { default: '', rendered: false } }),
    parseHTML: () => [
      {
        tag: 'span[data-block]',
        getAttrs: (element) => ({ source: element.getAttribute('data-block') ?? '', words: element.textContent }),
      },
    ],
    renderHTML: ({ node }) => [
      'span',
      mergeAttributes({ 'data-block': String(node.attrs.source) }),
      wordsOf(String(node.attrs.source)),
    ],
    renderText: ({ node }) => wordsOf(String(node.attrs.source)),
    addNodeView:
      () =>
      ({ node, view, getPos }) =>
        new ChipView(node, { places, view, getPos }),
  });
  return [ScriptDoc, ScriptText, LineNode, ChipNode, AnswerNode];
}

/** A line: its kind in the gutter, its words, and behind them what is beside the script. */
class LineView implements NodeView {
  readonly dom = document.createElement('div');
  readonly contentDOM = document.createElement('div');
  private readonly gutter = document.createElement('span');
  private readonly after = document.createElement('span');
  private readonly places: Places;
  private node: DocNode;

  constructor(node: DocNode, places: Places) {
    this.node = node;
    this.places = places;
    for (const beside of [this.gutter, this.after]) beside.contentEditable = 'false';
    this.gutter.className = 'line-gutter';
    this.contentDOM.className = 'line-text';
    this.after.className = 'col-2 pl-4.5 pr-4 leading-tight empty:hidden';
    this.dom.append(this.gutter, this.contentDOM, this.after);
    this.show();
  }

  update(node: DocNode): boolean {
    if (node.type !== this.node.type) return false;
    const isOther = node.attrs.id !== this.node.attrs.id || node.attrs.kind !== this.node.attrs.kind;
    this.node = node;
    if (isOther) this.show();
    return true;
  }

  ignoreMutation(mutation: ViewMutationRecord): boolean {
    return mutation.type !== 'selection' && !this.contentDOM.contains(mutation.target);
  }

  stopEvent({ target }: Event): boolean {
    return target instanceof Element && (this.gutter.contains(target) || this.after.contains(target));
  }

  destroy(): void {
    this.places.remove(this);
  }

  private show(): void {
    const { id, kind } = this.node.attrs as { id: string; kind: LineKind };
    this.dom.className = `line line-${kind}`;
    this.dom.dataset.line = id;
    this.places.put(this, { is: 'line', id, kind, line: this.dom, gutter: this.gutter, after: this.after });
  }
}

interface ChipPlace {
  readonly places: Places;
  readonly view: EditorView;
  readonly getPos: () => number | undefined;
}

/** A block in the text; what it shows is drawn into it. */
class ChipView implements NodeView {
  readonly dom = document.createElement('span');
  private readonly place: ChipPlace;
  private node: DocNode;

  constructor(node: DocNode, place: ChipPlace) {
    this.node = node;
    this.place = place;
    this.dom.className = 'script-block';
    this.dom.addEventListener('keydown', (event) => {
      const isTyped = event.target instanceof HTMLInputElement;
      if (!isTyped && (event.key === 'Escape' || event.key === 'Enter')) this.leave(event);
    });
    this.show();
  }

  update(node: DocNode): boolean {
    if (node.type !== this.node.type) return false;
    if (node.attrs.source !== this.node.attrs.source) {
      this.node = node;
      this.show();
    }
    this.node = node;
    return true;
  }

  ignoreMutation(): boolean {
    return true;
  }

  /** What is turned, typed or chosen in it is its own; a plain block is selected by a press. */
  stopEvent({ target }: Event): boolean {
    return target instanceof Element && target.closest('input, select, [role="spinbutton"]') !== null;
  }

  destroy(): void {
    this.place.places.remove(this);
  }

  /** Back into the text, behind the block. */
  private leave(event: KeyboardEvent): void {
    const at = this.place.getPos();
    if (at === undefined) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    this.place.view.focus();
    this.place.places.caretTo(at + this.node.nodeSize);
  }

  private show(): void {
    this.place.places.put(this, { is: 'block', source: String(this.node.attrs.source), at: this.dom });
  }
}
