import { useContext, useRef, useState } from 'react';
import { MOST_PASTED, paragraphsOf, type Paragraph } from '../../../core/session/index.ts';
import { clipboardParagraphs } from './clipboardParagraphs.ts';
import { PasteContext } from './pasteContext.ts';

/** A page that was written elsewhere, to be pasted or typed in. */
export function PastePage({ onDone }: { readonly onDone: () => void }) {
  const { paste } = useContext(PasteContext);
  const page = useRef<HTMLTextAreaElement>(null);
  /** What was pasted with its layout, as long as nothing was typed over it. */
  const copied = useRef<{ readonly text: string; readonly paragraphs: readonly Paragraph[] } | null>(null);
  const [refused, setRefused] = useState('');
  const take = () => {
    const text = page.current!.value;
    paste(copied.current?.text === text ? copied.current.paragraphs : paragraphsOf(text), null);
    onDone();
  };
  const takeFile = async (file: File | undefined) => {
    const read = file && (await readFile(file));
    if (typeof read === 'string') return setRefused(read);
    if (!read) return undefined;
    paste(read, null);
    return onDone();
  };
  return (
    <div className="mt-2.5 max-w-176" onKeyDown={(event) => event.key === 'Escape' && onDone()}>
      <label className="field">
        <span>Your page: paste it here</span>
        <textarea
          ref={page}
          autoFocus
          className="textarea min-h-40"
          maxLength={200_000}
          onPaste={(event) => {
            const paragraphs = clipboardParagraphs(event.clipboardData);
            const text = event.clipboardData.getData('text/plain');
            if (page.current!.value === '') copied.current = { text, paragraphs };
          }}
        />
      </label>
      <p className="text-soft text-sm mb-2">
        A short line above others becomes the name of a part. What stands in quotation marks is said, a question is
        asked.
      </p>
      <label className="field">
        <span>Or choose a file of text (.md or .txt)</span>
        <input
          type="file"
          className="file-input file-input-sm"
          accept=".md,.markdown,.txt,text/markdown,text/plain"
          onChange={({ target }) => void takeFile(target.files?.[0])}
        />
      </label>
      {refused && <p role="alert">{refused}</p>}
      <button type="button" className="btn btn-primary btn-sm" onClick={take}>
        Make it a script
      </button>{' '}
      <button type="button" className="btn btn-outline btn-sm" onClick={onDone}>
        Leave it
      </button>
    </div>
  );
}

/** What a file of text says, or why it can’t be taken. */
async function readFile(file: File): Promise<readonly Paragraph[] | string> {
  if (file.size > MOST_PASTED) return 'That file is too long for one session. Paste a part of it instead.';
  try {
    const text = await file.text();
    const isMarkdown = /\.(md|markdown)$/i.test(file.name) || file.type === 'text/markdown';
    return isMarkdown ? (await import('./markdown.ts')).paragraphsOfMarkdown(text) : paragraphsOf(text);
  } catch {
    return 'We can’t make sense of that file. Open it, and paste what it says.';
  }
}
