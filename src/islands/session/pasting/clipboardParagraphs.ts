import { MOST_PASTED, type Paragraph, paragraphsOf } from '../../../core/session/index.ts';

const BLOCKS = 'p, li, h1, h2, h3, h4, h5, h6, div, td, th, blockquote, pre, dt, dd';

/** What was copied elsewhere, as paragraphs: from its layout where it has one, else line by line. Nothing of it is run or fetched. */
export function clipboardParagraphs(data: Pick<DataTransfer, 'getData'>): Paragraph[] {
  const html = data.getData('text/html').slice(0, MOST_PASTED * 2);
  const page = html ? new DOMParser().parseFromString(html, 'text/html') : null;
  for (const none of page?.querySelectorAll('script, style, template, noscript, iframe, head title') ?? [])
    none.remove();
  const blocks = [...(page?.body.querySelectorAll<HTMLElement>(BLOCKS) ?? [])].filter(
    (block) => !block.querySelector(BLOCKS),
  );
  if (blocks.length < 2) return paragraphsOf(data.getData('text/plain'));
  const paragraphs = blocks.flatMap((block): Paragraph[] => {
    for (const lineBreak of block.querySelectorAll('br')) lineBreak.replaceWith('\n');
    return (block.textContent ?? '')
      .split('\n')
      .map((text) => ({ text: text.trim(), isHeading: isHeading(block, text.trim()) || undefined }));
  });
  return paragraphs.some(({ isHeading: isOne }) => isOne) ? paragraphs : paragraphs.map(({ text }) => ({ text }));
}

/** A heading of its document, or a short paragraph that is bold from end to end. */
function isHeading(block: HTMLElement, text: string): boolean {
  if (/^H[1-6]$/.test(block.tagName)) return true;
  const bold = block.querySelector(
    'b, strong, [style*="font-weight:7"], [style*="font-weight: 7"], [style*="font-weight:bold"]',
  );
  return text.length > 0 && text.length <= 60 && bold?.textContent?.trim() === text && !/^LI$/.test(block.tagName);
}
