import { type ComponentType, type RefObject, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { ScriptLinesProps, StartOfWriting, TypedBefore } from './scriptProps.ts';
import { StillLines } from './StillLines.tsx';

type EditorOfLines = ComponentType<ScriptLinesProps & StartOfWriting>;

let loaded: EditorOfLines | null = null;
let loading: Promise<EditorOfLines> | null = null;

/** The editor's script, fetched once; after it could not be reached it is asked for again. */
function loadEditor(): Promise<EditorOfLines> {
  loading ??= import('./ScriptEditor.tsx').then(
    (module) => (loaded = module.ScriptEditor),
    (error: unknown) => {
      loading = null;
      throw error;
    },
  );
  return loading;
}

const whenIdle = (work: () => void): (() => void) => {
  if (!('requestIdleCallback' in window)) {
    const timer = setTimeout(work, 50);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(work, { timeout: 1500 });
  return () => cancelIdleCallback(asked);
};

/** The lines of a part: text at once, and written in once the page has time for it or somebody wants to. */
export function ScriptLines(props: ScriptLinesProps & { readonly startsInWriting: boolean }) {
  const { mayWrite, startsInWriting } = props;
  const [Editor, setEditor] = useState<{ readonly of: EditorOfLines } | null>(() =>
    startsInWriting && loaded ? { of: loaded } : null,
  );
  const [wanted, setWanted] = useState<'start' | 'end' | null>(startsInWriting ? 'start' : null);
  // A number that somebody turns, drags or types stays under their hand until they let go of it.
  const [isHeld, setHeld] = useState(false);
  const typed = useRef<TypedBefore>(null);
  const isReady = Editor && mayWrite && (wanted || !isHeld);
  useEffect(() => {
    if (!mayWrite || Editor) return undefined;
    let isGone = false;
    const open = () =>
      void loadEditor().then(
        (of) => {
          if (!isGone) setEditor({ of });
        },
        () => undefined,
      );
    const forget = wanted ? undefined : whenIdle(open);
    if (wanted) open();
    return () => {
      isGone = true;
      forget?.();
    };
  }, [mayWrite, Editor, wanted]);
  if (!isReady && startsInWriting) return <FirstWords title={props.part.segment.title} {...{ typed }} />;
  if (!isReady) return <StillLines {...props} onWant={() => setWanted('end')} onHold={setHeld} />;
  return <Editor.of {...props} startsAt={wanted} typed={typed} />;
}

/** As long as one line may be: they are typed again letter by letter. */
const LONGEST_FIRST_WORDS = 2000;

interface FirstWordsProps {
  readonly title: string;
  /** Has what was typed, and where the caret stood, once these words give way. */
  readonly typed: RefObject<TypedBefore | null>;
}

/** Takes what is typed into a new part until its editor has come, which goes on from there. */
function FirstWords({ title, typed }: FirstWordsProps) {
  const field = useRef<HTMLTextAreaElement>(null);
  useLayoutEffect(() => {
    const { current } = field;
    return () => {
      if (!current) return;
      const { value: words, selectionStart: caret } = current;
      typed.current = { words, caret, hasFocus: document.activeElement === current };
    };
  }, [typed]);
  return (
    <div className="script-lines">
      <div className="line line-do">
        <span className="line-gutter">
          <span className="kind-word">do</span>
        </span>
        <div className="line-text">
          <textarea
            ref={field}
            autoFocus
            rows={1}
            maxLength={LONGEST_FIRST_WORDS}
            className="block w-full field-sizing-content resize-none bg-transparent"
            aria-label={`Lines of ${title}`}
          />
        </div>
      </div>
    </div>
  );
}
