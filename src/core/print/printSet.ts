import { flowPages, writing } from '../page/flow.ts';
import { cardPages } from '../page/cards.ts';
import type { MakerOutput } from '../makers/makerOutput.ts';
import { makerPages } from '../makers/makerPages.ts';
import { inRow, scaled, type Drawing } from '../page/drawing.ts';
import { finishPage, printableArea, type Page, type SheetSettings, USUAL_MARGIN } from '../page/paper.ts';
import { contentsPage } from './contentsPage.ts';
import { madeOf, type PrintSetHome, type PrintSetInput, type TrayPart } from './printSetInput.ts';

export { madeOf, MOST_PAGES, TRAY_FOR, TRAY_VERSIONS } from './printSetInput.ts';
export type { TrayFor, PrintSetHome, PrintSetInput, TrayVersion } from './printSetInput.ts';
import { guidePages } from './guidePages.ts';
import { fittingSize } from '../page/text.ts';

/** How much larger everything is in large print. */
const LARGE = 1.4;
/** Room that a sheet’s title takes above a drawing, in millimetres. */
const TITLE_ROOM = 20;
const LABEL = { width: 90, height: 34 };

/**
 * Everything on paper that a session needs, with a contents page in front: labels for homes, what its makers made (a
 * set for each home, named on a strip), kit lists and answers. Nothing to print gives the contents page, which says so.
 * Once something has backs, the whole tray is laid out for printing on both sides, and all else keeps its backs empty.
 */
export function layoutPrintSet(input: PrintSetInput): PrintSet {
  const settings: SheetSettings = { paper: input.paper, margin: USUAL_MARGIN, savesInk: input.version === 'ink' };
  const parts = trayParts(input, settings);
  const isTwoSided = parts.some(({ pages }) => pages.some(({ isBack }) => isBack));
  const onSheets = (pages: readonly Page[]) => (isTwoSided ? withEmptyBacks(pages, settings) : pages);
  const laid = parts.map(({ title, pages }) => ({ title, pages: onSheets(pages) }));
  const contents = onSheets([contentsPage(input, laid, { settings, isTwoSided })]);
  return { pages: [...contents, ...laid.flatMap(({ pages }) => pages)], isTwoSided };
}

/** A back for every front: its own, or an empty one. */
function withEmptyBacks(pages: readonly Page[], settings: SheetSettings): Page[] {
  const empty = finishPage([], { title: 'this side stays empty', settings, number: 1, of: 1 });
  return pages.flatMap((page, index) => (page.isBack || pages[index + 1]?.isBack ? [page] : [page, empty]));
}

/** How many pages a tray has for these homes: with one home, about what each of many will take. */
export function estimatePages(input: PrintSetInput): number {
  return layoutPrintSet(input).pages.length;
}

export interface PrintSet {
  /** In the order of printing; two to a sheet, front and back, when it is printed on both sides. */
  readonly pages: readonly Page[];
  readonly isTwoSided: boolean;
}

function trayParts({ session, for: whom, homes, version }: PrintSetInput, settings: SheetSettings): TrayPart[] {
  const made = session.segments.flatMap((segment) => {
    const answer = madeOf(segment);
    return answer
      ? [{ title: segment.title, made: version === 'large' ? enlarged(answer, printableArea(settings)) : answer }]
      : [];
  });
  const parts: TrayPart[] = [];
  const add = (title: string, pages: readonly Page[]) => pages.length > 0 && parts.push({ title, pages });
  if (whom === 'kit') {
    for (const home of homes.filter(({ kit }) => kit.length > 0))
      add(`Kit for ${home.nickname}`, kitPages(home, settings));
    return parts;
  }
  const addGuides = () => {
    for (const { nickname, guide } of whom === 'author' ? [] : homes)
      if (guide) add(`Guide for ${nickname}`, guidePages(guide, settings, { isLarge: version === 'large' }));
  };
  if (whom === 'all' || whom === 'home') add('Name strips', namePages(homes, settings));
  if (version === 'by-hand') {
    for (const { title, made: answer } of made)
      add(`${title}: draw it like this`, byHandPages(title, answer, settings));
    addGuides();
    return parts;
  }
  const sets = whom === 'author' ? [null] : homes;
  for (const { title, made: answer } of made) {
    for (const home of sets)
      add(
        home ? `${title}, for ${home.nickname}` : title,
        makerPages(home ? `${title}, for ${home.nickname}` : title, withOwner(answer, home?.nickname), settings, {
          withKey: false,
        }),
      );
    add(
      `${title}: the answers`,
      makerPages(title, { ...answer, printable: { title: answer.printable.title, cards: [], sheets: [] } }, settings),
    );
  }
  addGuides();
  return parts;
}

/** A set of one home carries its name, so that cut cards do not get mixed. */
function withOwner(made: MakerOutput, nickname: string | undefined): MakerOutput {
  if (!nickname) return made;
  const { printable } = made;
  return { ...made, printable: { ...printable, title: `${printable.title}, for ${nickname}` } };
}

/** Everything larger, but never larger than the paper. */
function enlarged(made: MakerOutput, area: { readonly width: number; readonly height: number }): MakerOutput {
  const { printable } = made;
  const larger = (drawings: readonly Drawing[]) =>
    drawings.map((drawing) =>
      scaled(
        drawing,
        Math.max(1, Math.min(LARGE, area.width / drawing.width, (area.height - TITLE_ROOM) / drawing.height)),
      ),
    );
  const { cards, backs, sheets } = printable;
  return {
    ...made,
    printable: { ...printable, cards: larger(cards), backs: backs && larger(backs), sheets: larger(sheets) },
  };
}

function namePages(homes: readonly PrintSetHome[], settings: SheetSettings): Page[] {
  const strips = homes.map(({ nickname, children }): Drawing => {
    const size = fittingSize(nickname, LABEL.width - 10, 12);
    const names = children.join(', ');
    return {
      ...LABEL,
      shapes: [
        { kind: 'text', x: LABEL.width / 2, y: 16, size, text: nickname, align: 'middle', isBold: true },
        {
          kind: 'text',
          x: LABEL.width / 2,
          y: 27,
          size: fittingSize(names, LABEL.width - 10, 7),
          text: names,
          align: 'middle',
          fill: 'soft',
        },
      ],
    };
  });
  return cardPages(strips, { title: 'Name strips', settings });
}

function kitPages({ nickname, kit }: PrintSetHome, settings: SheetSettings): Page[] {
  const { width } = printableArea(settings);
  return flowPages(
    [
      writing([`Kit for ${nickname}`, ''], { width, size: 9 }),
      writing(
        kit.map((line) => `• ${line}`),
        { width, size: 7 },
      ),
    ],
    {
      title: `Kit for ${nickname}`,
      settings,
    },
  );
}

/** Where there is no printer: a small picture of each, how large to draw it and how many. */
function byHandPages(title: string, made: MakerOutput, settings: SheetSettings): Page[] {
  const area = printableArea(settings);
  const small = (drawing: Drawing) =>
    scaled(drawing, Math.min(1, 38 / drawing.width, 30 / Math.max(1, drawing.height)));
  const { cards, backs, sheets } = made.printable;
  const [first] = cards;
  const rows: Drawing[] = [
    writing([title], { width: area.width, size: 8 }),
    ...(first
      ? [
          writing(
            [
              `Cut ${cards.length} cards of ${Math.round(first.width)} × ${Math.round(first.height)} mm (a sheet folded in ${first.width > 60 ? 'eight' : 'sixteen'} comes near) and draw them like this:`,
            ],
            { width: area.width, size: 5 },
          ),
          ...chunks(cards.map(small), 4).map((row) => inRow(row, 5)),
          ...(backs
            ? [
                writing(['And on their backs, in the same order:'], { width: area.width, size: 5 }),
                ...chunks(backs.map(small), 4).map((row) => inRow(row, 5)),
              ]
            : []),
        ]
      : []),
    ...sheets.flatMap((sheet) => [
      writing([`Draw this about ${Math.round(sheet.width / 10)} cm wide:`], { width: area.width, size: 5 }),
      small(sheet),
    ]),
    ...(cards.length + sheets.length === 0
      ? [
          writing(['Nothing has to be drawn: real things are better here.'], { width: area.width, size: 5 }),
          small(made.picture),
        ]
      : []),
  ];
  return flowPages(rows, { title: `${title}, by hand`, settings, gap: 5 });
}

function chunks<Item>(list: readonly Item[], size: number): Item[][] {
  return Array.from({ length: Math.ceil(list.length / size) }, (_, index) =>
    list.slice(index * size, (index + 1) * size),
  );
}
