import type { MessageValues } from '../message.ts';
import {
  cardPages,
  type Drawing,
  finishPage,
  fittingSize,
  flowPages,
  inRow,
  type Page,
  printableArea,
  scaled,
  type SheetSettings,
  USUAL_MARGIN,
  writing,
} from '../page/index.ts';
import { type MakerOutput, makerPages } from '../makers/index.ts';
import { contentsPage } from './contentsPage.ts';
import { madeOf, type PrintSetHome, type PrintSetInput, type TrayPart } from './printSetInput.ts';

export { madeOf, MOST_PAGES, TRAY_FOR, TRAY_VERSIONS } from './printSetInput.ts';
export type { TrayFor, PrintSetHome, PrintSetInput, TrayVersion } from './printSetInput.ts';
import { guidePages } from './guidePages.ts';

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
  const settings: SheetSettings = {
    paper: input.paper,
    margin: USUAL_MARGIN,
    savesInk: input.version === 'ink',
    speech: input.makers.speech,
  };
  const parts = trayParts(input, settings);
  const isTwoSided = parts.some(({ pages }) => pages.some(({ isBack }) => isBack));
  const onSheets = (pages: readonly Page[]) => (isTwoSided ? withEmptyBacks(pages, settings) : pages);
  const laid = parts.map(({ title, pages }) => ({ title, pages: onSheets(pages) }));
  const contents = onSheets([contentsPage(input, laid, { settings, isTwoSided })]);
  return { pages: [...contents, ...laid.flatMap(({ pages }) => pages)], isTwoSided };
}

/** A back for every front: its own, or an empty one. */
function withEmptyBacks(pages: readonly Page[], settings: SheetSettings): Page[] {
  const empty = finishPage([], { title: settings.speech.say('print/empty-side'), settings, number: 1, of: 1 });
  return pages.flatMap((page, index) => (page.isBack || pages[index + 1]?.isBack ? [page] : [page, empty]));
}

/** How many pages a tray has for these homes: with one home, about what each of many will take. */
export function estimatePages(input: PrintSetInput): number {
  return layoutPrintSet(input).pages.length;
}

/** Everything on paper that a session needs. */
export interface PrintSet {
  /** In the order of printing; two to a sheet, front and back, when it is printed on both sides. */
  readonly pages: readonly Page[];
  readonly isTwoSided: boolean;
}

function trayParts({ session, for: whom, homes, version, makers }: PrintSetInput, settings: SheetSettings): TrayPart[] {
  const made = session.segments.flatMap((segment) => {
    const answer = madeOf(segment, makers);
    return answer
      ? [{ title: segment.title, made: version === 'large' ? enlarged(answer, printableArea(settings)) : answer }]
      : [];
  });
  const { say } = settings.speech;
  const own = (name: string, value: string) => ({ [name]: { own: value } });
  const parts: TrayPart[] = [];
  const add = (title: string, pages: readonly Page[]) => pages.length > 0 && parts.push({ title, pages });
  if (whom === 'kit') {
    for (const home of homes.filter(({ kit }) => kit.length > 0))
      add(say('print/kit', own('home', home.nickname)), kitPages(home, settings));
    return parts;
  }
  const addGuides = () => {
    for (const { nickname, guide } of whom === 'author' ? [] : homes)
      if (guide)
        add(say('print/guide', own('home', nickname)), guidePages(guide, settings, { isLarge: version === 'large' }));
  };
  if (whom === 'all' || whom === 'home') add(say('print/name-strips'), namePages(homes, settings));
  if (version === 'by-hand') {
    for (const { title, made: answer } of made)
      add(say('print/draw-it', own('title', title)), byHandPages(title, answer, settings));
    addGuides();
    return parts;
  }
  const sets = whom === 'author' ? [null] : homes;
  for (const { title, made: answer } of made) {
    for (const home of sets) {
      const named = home ? ownedBy(title, home.nickname, settings) : title;
      add(named, makerPages(named, withOwner(answer, home?.nickname, settings), settings, { withKey: false }));
    }
    add(
      say('print/answers', own('title', title)),
      makerPages(title, { ...answer, printable: { title: answer.printable.title, cards: [], sheets: [] } }, settings),
    );
  }
  addGuides();
  return parts;
}

const ownedBy = (title: string, home: string, { speech }: SheetSettings) =>
  speech.say('print/owned', { title: { own: title }, home: { own: home } });

/** A set of one home carries its name, so that cut cards do not get mixed. */
function withOwner(made: MakerOutput, nickname: string | undefined, settings: SheetSettings): MakerOutput {
  if (!nickname) return made;
  const { printable } = made;
  return { ...made, printable: { ...printable, title: ownedBy(printable.title, nickname, settings) } };
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
  return cardPages(strips, { title: settings.speech.say('print/name-strips'), settings });
}

function kitPages({ nickname, kit }: PrintSetHome, settings: SheetSettings): Page[] {
  const { width } = printableArea(settings);
  const title = settings.speech.say('print/kit', { home: { own: nickname } });
  return flowPages(
    [
      writing([title, ''], { width, size: 9 }),
      writing(
        kit.map((line) => `• ${line}`),
        { width, size: 7 },
      ),
    ],
    { title, settings },
  );
}

/** Where there is no printer: a small picture of each, how large to draw it and how many. */
function byHandPages(title: string, made: MakerOutput, settings: SheetSettings): Page[] {
  const { width } = printableArea(settings);
  const { say } = settings.speech;
  const small = (drawing: Drawing) =>
    scaled(drawing, Math.min(1, 38 / drawing.width, 30 / Math.max(1, drawing.height)));
  const inRows = (drawings: readonly Drawing[]) => chunks(drawings.map(small), 4).map((row) => inRow(row, 5));
  const said = (key: string, values?: MessageValues) => writing([say(`print/${key}`, values)], { width, size: 5 });
  const { cards, backs, sheets } = made.printable;
  const [first] = cards;
  const size = first && {
    cards: cards.length,
    width: Math.round(first.width),
    height: Math.round(first.height),
    folded: first.width > 60 ? 'eight' : 'sixteen',
  };
  const rows: Drawing[] = [
    writing([title], { width, size: 8 }),
    ...(size ? [said('cut-cards', size), ...inRows(cards)] : []),
    ...(size && backs ? [said('on-backs'), ...inRows(backs)] : []),
    ...sheets.flatMap((sheet) => [said('draw-sheet', { width: Math.round(sheet.width / 10) }), small(sheet)]),
    ...(cards.length + sheets.length === 0 ? [said('nothing-to-draw'), small(made.picture)] : []),
  ];
  return flowPages(rows, { title: say('print/by-hand', { title: { own: title } }), settings, gap: 5 });
}

function chunks<Item>(list: readonly Item[], size: number): Item[][] {
  return Array.from({ length: Math.ceil(list.length / size) }, (_, index) =>
    list.slice(index * size, (index + 1) * size),
  );
}
