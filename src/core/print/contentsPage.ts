import { writing } from '../page/flow.ts';
import { inColumn } from '../page/drawing.ts';
import { finishPage, printableArea, type Page, type SheetSettings } from '../page/paper.ts';
import { madeOf, type PrintSetInput, type TrayPart } from './printSetInput.ts';

/** What is in a tray and on which page, what could not be printed, and how to print the rest. */
export function contentsPage(
  { session, for: whom, homes, version }: PrintSetInput,
  parts: readonly TrayPart[],
  { settings, isTwoSided }: { settings: SheetSettings; isTwoSided: boolean },
): Page {
  const area = printableArea(settings);
  let page = isTwoSided ? 3 : 2;
  const lines = parts.map(({ title, pages }) => {
    const line = `${page}   ${title}${pages.length > 1 ? ` (${pages.length} pages)` : ''}`;
    page += pages.length;
    return line;
  });
  const refused = session.segments.flatMap((segment) =>
    segment.made && !madeOf(segment)
      ? [`Not printed: “${segment.title}” does not come out as its dials stand. Turn one of them on the bench.`]
      : [],
  );
  const elsewhere = homes.flatMap(({ nickname, guide }) =>
    guide === null && (whom === 'all' || whom === 'home')
      ? [`The guide for ${nickname} is read from the right: print it from its own page (Send, look at its guide).`]
      : [],
  );
  const about = [
    whom === 'all'
      ? `for ${homes.length} homes`
      : whom === 'kit'
        ? 'for kits'
        : whom === 'home'
          ? `for ${homes[0]?.nickname ?? 'a home'}`
          : 'for the author',
    { usual: '', ink: 'with little ink', large: 'in large print', 'by-hand': 'to draw by hand' }[version],
  ]
    .filter(Boolean)
    .join(', ');
  const size = Math.min(4.6, area.height / Math.max(30, (lines.length + 6) * 1.5));
  const column = inColumn(
    [
      writing([session.title], { width: area.width, size: 9 }),
      writing(
        [
          about,
          '',
          'Print at 100 %, without fitting to the page: the line at the foot of each sheet is 50 mm long.',
          ...(isTwoSided ? ['Print on both sides, turned over the long edge.'] : []),
          '',
        ],
        { width: area.width, size: 4.6 },
      ),
      writing([...refused, ...elsewhere], { width: area.width, size: 4.6 }),
      writing(
        lines.length > 0
          ? lines
          : ['Nothing in this session is printed. Put something from Makers into it, or choose another version.'],
        { width: area.width, size },
      ),
    ],
    3,
  );
  return finishPage(
    column.shapes.map((shape) =>
      shape.kind === 'text' ? { ...shape, x: shape.x + area.x, y: shape.y + area.y } : shape,
    ),
    { title: 'Contents', settings, number: 1, of: 1 },
  );
}
