import { MOST_PASTED, type Paragraph, paragraphsOf } from '../../../core/session/index.ts';

const BLOCKS = 'p, li, h1, h2, h3, h4, h5, h6, div, td, th, blockquote, pre, dt, dd';

/** What was copied elsewhere, as paragraphs: from its layout where it has one, else line by line. Nothing of it is run or fetched. */
export function clipboardParagraphs(data: Pick<DataTransfer, 'getData'>): Paragraph[] {
  const html = data.getData('text/html').slice(0, MOST_PASTED * 2);
  const page = html ? new DOMParser().parseFromString(html, 'text/html') : null;
  for (const none of page?.querySelectorAll('script, style, template, noscript, iframe, head title') ?? [])
    none.remove();
  const paragraphs = page ? paragraphsIn(page.body) : [];
  return paragraphs.filter(({ text }) => text !== '').length < 2
    ? paragraphsOf(data.getData('text/plain'))
    : paragraphs;
}

/** All text in its order: a block and a line break begin another paragraph, an empty block stands for an empty line. */
function paragraphsIn(body: HTMLElement): Paragraph[] {
  const paragraphs: Paragraph[] = [];
  let text = '';
  let block: HTMLElement = body;
  const end = (isEmptyKept = false) => {
    const words = text.replace(/\s+/g, ' ').trim();
    text = '';
    if (words === '' && !isEmptyKept) return;
    paragraphs.push({ text: words, ...(isHeading(block, words) && { isHeading: true }) });
  };
  const walk = (node: Node) => {
    if (node instanceof Text) text += node.data;
    else if (node instanceof HTMLElement && node.tagName === 'BR') end();
    else if (node instanceof HTMLElement && node.matches(BLOCKS)) {
      end();
      const around = block;
      block = node;
      node.childNodes.forEach(walk);
      end((node.textContent ?? '').trim() === '');
      block = around;
    } else node.childNodes.forEach(walk);
  };
  walk(body);
  end();
  return paragraphs;
}

/** A heading of its document, or a short paragraph that is bold from end to end. */
function isHeading(block: HTMLElement, text: string): boolean {
  if (/^H[1-6]$/.test(block.tagName)) return true;
  const bold = block.querySelector(
    'b, strong, [style*="font-weight:7"], [style*="font-weight: 7"], [style*="font-weight:bold"]',
  );
  return text.length > 0 && text.length <= 60 && bold?.textContent?.trim() === text && !/^LI$/.test(block.tagName);
}
