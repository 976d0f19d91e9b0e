import type { Message } from '../message.ts';
import { finishPage, inColumn, type Page, printableArea, type SheetSettings, writing } from '../page/index.ts';
import { madeOf, type PrintSetInput, type TrayPart } from './printSetInput.ts';

const SIZE = 4.6;

/** What is in a print set and on which page, what could not be printed, and how to print the rest. */
export function contentsPage(
  input: PrintSetInput,
  parts: readonly TrayPart[],
  { settings, isTwoSided }: { settings: SheetSettings; isTwoSided: boolean },
): Page {
  const { say } = settings.speech;
  const area = printableArea(settings);
  const lines = pageLines(parts, { settings, isTwoSided });
  const head = [
    say('print/about', { for: forWhom(input), version: input.version === 'by-hand' ? 'hand' : input.version }),
    '',
    say('print/at-full-size'),
    ...(isTwoSided ? [say('print/two-sided')] : []),
    '',
  ];
  const size = Math.min(SIZE, area.height / Math.max(30, (lines.length + 6) * 1.5));
  const { width } = area;
  const column = inColumn(
    [
      writing([input.session.title], { width, size: 9 }),
      writing(head, { width, size: SIZE }),
      writing(notPrinted(input, settings), { width, size: SIZE }),
      writing(lines.length > 0 ? lines : [say('print/nothing')], { width, size }),
    ],
    3,
  );
  return finishPage(
    column.shapes.map((shape) =>
      shape.kind === 'text' ? { ...shape, x: shape.x + area.x, y: shape.y + area.y } : shape,
    ),
    { title: say('print/contents'), settings, number: 1, of: 1 },
  );
}

/** A line for each part, with the page it begins on; the contents themselves come first. */
function pageLines(
  parts: readonly TrayPart[],
  { settings: { speech }, isTwoSided }: { settings: SheetSettings; isTwoSided: boolean },
): string[] {
  let page = isTwoSided ? 3 : 2;
  return parts.map(({ title, pages }) => {
    const line = speech.say('print/part', { page, title: { own: title }, pages: pages.length });
    page += pages.length;
    return line;
  });
}

function notPrinted({ session, homes, for: whom, makers }: PrintSetInput, { speech }: SheetSettings): string[] {
  const refused = session.segments.filter((segment) => segment.made && !madeOf(segment, makers));
  const elsewhere = homes.filter(({ guide }) => guide === null && (whom === 'all' || whom === 'home'));
  return [
    ...refused.map(({ title }) => speech.say('print/refused', { title: { own: title } })),
    ...elsewhere.map(({ nickname }) => speech.say('print/elsewhere', { home: { own: nickname } })),
  ];
}

function forWhom({ for: whom, homes }: PrintSetInput): Message {
  if (whom === 'home' && homes[0]) return { key: 'print/for-home', values: { home: { own: homes[0].nickname } } };
  return { key: `print/for-${whom === 'home' ? 'a-home' : whom}`, values: { homes: homes.length } };
}
