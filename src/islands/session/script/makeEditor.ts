import { Editor } from '@tiptap/core';
import { formatPieces, parseContent, renderContent } from '../../../core/expressions/index.ts';
import { templateScope } from '../../../core/session/index.ts';
import { newId } from '../../autosave/newId.ts';
import { follow } from './followSession.ts';
import { leaveTowards } from './neighbours.ts';
import { pastedFrom } from './pasting.ts';
import type { Pasting } from '../pasting/pasteContext.ts';
import type { Places } from './places.ts';
import { scriptKeys } from './scriptKeys.ts';
import type { ScriptLinesProps } from './scriptProps.ts';
import { scriptNodes } from './scriptNodes.ts';

/** So much of the window's foot is covered by the line's tools and what is always in sight, in pixels. */
const COVERED_BELOW = { top: 20, right: 0, bottom: 160, left: 0 };

interface EditorMade {
  readonly host: HTMLElement;
  readonly places: Places;
  readonly latest: { readonly current: ScriptLinesProps };
  readonly pasting: { readonly current: Pasting };
}

/** An editor of the lines of a part, with what they say now. */
export function makeEditor({ host, places, latest, pasting }: EditorMade): Editor {
  const { part } = latest.current;
  const wordsOf = (source: string) => {
    const { segment } = latest.current.part;
    const rendered = renderContent(parseContent(source), templateScope(segment, latest.current.things));
    return rendered.ok ? formatPieces(rendered.value) : '?';
  };
  const editor: Editor = new Editor({
    element: host,
    injectCSS: false,
    extensions: [
      ...scriptNodes(places, wordsOf),
      scriptKeys({
        leave: (towards) => leaveTowards(editor.view.dom, towards),
        moveLine: (by) => moveLine(editor, latest.current, by),
      }),
    ],
    editorProps: {
      attributes: () => ({
        class: 'script-lines',
        role: 'textbox',
        'aria-multiline': 'true',
        'aria-label': `Lines of ${latest.current.part.segment.title}`,
        spellcheck: 'true',
      }),
      scrollMargin: COVERED_BELOW,
      scrollThreshold: COVERED_BELOW,
      ...pastedFrom({ latest, pasting }),
    },
  });
  const stored = part.lines.map(({ line }) => line);
  follow(editor, stored.length > 0 ? stored : [{ id: newId(), kind: 'do', text: '' }]);
  return editor;
}

function moveLine(editor: Editor, { part, onEdit }: ScriptLinesProps, by: -1 | 1): void {
  const index = editor.state.selection.$head.index(0);
  const id = editor.state.doc.child(index).attrs.id as string;
  const to = index + by;
  if (to >= 0 && to < editor.state.doc.childCount) onEdit({ do: 'move-line', segment: part.segment.id, line: id, to });
}
