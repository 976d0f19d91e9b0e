import { Extension } from '@tiptap/core';
import type { Node as DocNode } from '@tiptap/pm/model';
import { type Command, NodeSelection, Plugin, TextSelection, type Transaction } from '@tiptap/pm/state';
import { guessKind, type LineKind } from '../../../core/session/index.ts';
import { newId } from '../../autosave/newId.ts';
import { caretAt } from './caret.ts';
import { kindNamed } from './lineNodes.ts';

/** What the keys of a script ask of what is around it. */
export interface AroundScript {
  /** Into the part before or after this one; false where there is none. */
  readonly leave: (towards: 'before' | 'after') => boolean;
  readonly moveLine: (by: -1 | 1) => void;
}

const LONGEST_LINE = 2000;

/** Enter, arrows, and words that name a kind; every line has an id of its own. */
export function scriptKeys(around: AroundScript) {
  return Extension.create({
    name: 'scriptKeys',
    priority: 1000,
    addKeyboardShortcuts() {
      const run = (command: Command) => () => command(this.editor.state, this.editor.view.dispatch, this.editor.view);
      return {
        Enter: run((state, dispatch, view) => openBlock(state, dispatch, view) || splitLine(state, dispatch)),
        'Shift-Enter': run((state, dispatch) => {
          dispatch?.(state.tr.insertText('\n').scrollIntoView());
          return true;
        }),
        ArrowUp: () =>
          this.editor.view.endOfTextblock('up') && isEdge(this.editor.state, 'first') && around.leave('before'),
        ArrowDown: () =>
          this.editor.view.endOfTextblock('down') && isEdge(this.editor.state, 'last') && around.leave('after'),
        'Alt-ArrowUp': () => (around.moveLine(-1), true),
        'Alt-ArrowDown': () => (around.moveLine(1), true),
        // A browser looks for the first place before the gutter of the first line, and finds none.
        'Mod-Home': () => caretAt(this.editor, 'start'),
        'Mod-End': () => caretAt(this.editor, 'end'),
        Escape: () => (this.editor.commands.blur(), true),
      };
    },
    addProseMirrorPlugins: () => [
      new Plugin({
        appendTransaction: (transactions, _before, state) =>
          transactions.some(({ docChanged }) => docChanged) ? withOwnIds(state.tr) : null,
        filterTransaction: (transaction) => !transaction.docChanged || !isTooLong(transaction),
        props: { handleTextInput: (view, _from, _to, text) => text === ' ' && takeNamed(view.state, view.dispatch) },
      }),
    ],
  });
}

type State = Parameters<Command>[0];

/** Opens the block that is selected: what is in it has the keys then. */
const openBlock: Command = ({ selection }, _dispatch, view) => {
  if (!(selection instanceof NodeSelection) || selection.node.type.name !== 'chip') return false;
  const block = view?.nodeDOM(selection.from);
  const inside = block instanceof HTMLElement && block.querySelector<HTMLElement>('[role="spinbutton"], select');
  if (inside) inside.focus();
  return true;
};

/** Ends the line and begins another: in the middle both halves keep the kind, at the end a new line is something to do. */
const splitLine: Command = (state, dispatch) => {
  const transaction = state.tr.deleteSelection();
  const { $from } = transaction.selection;
  const line = $from.parent;
  if (line.type.name !== 'line') return false;
  const { kind } = line.attrs as { kind: LineKind };
  const start = $from.before();
  if ($from.parentOffset === 0 && line.content.size > 0) {
    transaction.insert(start, line.type.create({ id: newId(), kind: 'do' }));
    dispatch?.(transaction.scrollIntoView());
    return true;
  }
  const isAtEnd = endsAt(line, $from.parentOffset);
  if (isAtEnd) {
    const guessed = kind === 'do' ? guessKind(line.textContent) : kind;
    if (guessed !== kind) transaction.setNodeAttribute(start, 'kind', guessed);
    const end = start + line.nodeSize;
    transaction.insert(end, line.type.create({ id: newId(), kind: 'do' }));
    transaction.setSelection(TextSelection.create(transaction.doc, end + 1));
  } else {
    transaction.split($from.pos, 1, [{ type: line.type, attrs: { id: newId(), kind } }]);
  }
  dispatch?.(transaction.scrollIntoView());
  return true;
};

/** Whether nothing but an answer follows. */
function endsAt(line: DocNode, offset: number): boolean {
  let answerAt = line.content.size;
  line.forEach((child, at) => {
    if (child.type.name === 'answer') answerAt = at;
  });
  return offset === line.content.size || offset === answerAt;
}

function isEdge({ doc, selection }: State, edge: 'first' | 'last'): boolean {
  const index = selection.$head.index(0);
  return edge === 'first' ? index === 0 : index === doc.childCount - 1;
}

/** “ask: ” at a line’s start makes it a question; “answer: ” begins its answer. */
function takeNamed(state: State, dispatch: (transaction: Transaction) => void): boolean {
  const { $from, empty } = state.selection;
  if (!empty || $from.parent.type.name !== 'line') return false;
  const before = $from.parent.textBetween(0, $from.parentOffset, undefined, '￼');
  const kind = kindNamed(before);
  if (kind) {
    dispatch(state.tr.delete($from.start(), $from.pos).setNodeAttribute($from.before(), 'kind', kind));
    return true;
  }
  const named = /\s*\banswer:$/i.exec(before);
  if (!named || named.index === 0 || holdsAnswer($from.parent)) return false;
  const from = $from.start() + named.index;
  dispatch(state.tr.replaceWith(from, $from.pos, state.schema.nodes.answer!.create()));
  return true;
}

/** Whether a line has an answer already. */
export function holdsAnswer(line: DocNode): boolean {
  let holds = false;
  line.forEach(({ type }) => (holds ||= type.name === 'answer'));
  return holds;
}

/** Gives lines that were split, pasted or duplicated ids of their own; null where all have them. */
function withOwnIds(transaction: Transaction): Transaction | null {
  const seen = new Set<string>();
  const { doc } = transaction;
  doc.forEach((line, at) => {
    const id = line.attrs.id as string | null;
    if (id && !seen.has(id)) return seen.add(id);
    return transaction.setNodeAttribute(at, 'id', newId());
  });
  return transaction.docChanged ? transaction : null;
}

/** Whether a line grew past what is kept of one. */
function isTooLong({ doc, before }: Transaction): boolean {
  const longest = (within: DocNode) => {
    let most = 0;
    within.forEach((line) => (most = Math.max(most, line.content.size)));
    return most;
  };
  const now = longest(doc);
  return now > LONGEST_LINE && now > longest(before);
}
