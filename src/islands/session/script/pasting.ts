import type { EditorProps } from '@tiptap/pm/view';
import { Fragment, type Node as DocNode, Slice } from '@tiptap/pm/model';
import { templateScope, textElsewhere } from '../../../core/session/index.ts';
import { clipboardParagraphs } from '../pasting/clipboardParagraphs.ts';
import type { Pasting } from '../pasting/pasteContext.ts';
import type { ScriptLinesProps } from './scriptProps.ts';

interface PastedInto {
  readonly latest: { readonly current: ScriptLinesProps };
  readonly pasting: { readonly current: Pasting };
}

/** Lines copied from a script stay lines with their blocks; what comes from elsewhere is read as a page, one line of it as words. */
export function pastedFrom({ latest, pasting }: PastedInto): EditorProps {
  return {
    handlePaste: (view, event) => {
      const data = event.clipboardData;
      if (!data || data.getData('text/html').includes('data-pm-slice')) return false;
      const paragraphs = clipboardParagraphs(data);
      const written = paragraphs.filter(({ text }) => text !== '');
      if (written.length === 0) return false;
      const { part } = latest.current;
      if (written.length === 1 || part.segment.made) {
        view.dispatch(view.state.tr.insertText(written.map(({ text }) => text).join(' ')).scrollIntoView());
        return true;
      }
      const line = String(view.state.selection.$head.node(1).attrs.id);
      pasting.current.paste(paragraphs, { segment: part.segment.id, line });
      return true;
    },
    transformPasted: (slice) => {
      const { part, things } = latest.current;
      const scope = templateScope(part.segment, things);
      const known = (source: string) => textElsewhere(source, scope, part.segment) === source;
      return new Slice(withWords(slice.content, known), slice.openStart, slice.openEnd);
    },
  };
}

/** Blocks that this part does not know become the words that they stood for where they were copied. */
function withWords(content: Fragment, known: (source: string) => boolean): Fragment {
  const nodes: DocNode[] = [];
  content.forEach((node) => {
    if (node.type.name !== 'chip') return nodes.push(node.copy(withWords(node.content, known)));
    if (known(String(node.attrs.source))) return nodes.push(node);
    const words = String(node.attrs.words ?? '');
    return words && nodes.push(node.type.schema.text(words));
  });
  return Fragment.fromArray(nodes);
}
