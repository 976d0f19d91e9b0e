import { runMaker, type Made } from '../makers/maker.ts';
import { findMaker } from '../makers/makers.ts';
import { makerPages } from '../makers/makerPages.ts';
import { inColumn, inRow, scaled, type Drawing } from '../page/drawing.ts';
import {
  cardPages,
  finishPage,
  flowPages,
  printableArea,
  writing,
  type Page,
  type Paper,
  type SheetSettings,
  USUAL_MARGIN,
} from '../page/paper.ts';
import { guidePages, type GuideSheet } from './guidePages.ts';
import { fittingSize } from '../page/text.ts';
import type { Segment, Session } from '../script/session.ts';

/** For whom a tray is printed. */
export const TRAY_FOR = ['author', 'home', 'all', 'kit'] as const;
export type TrayFor = (typeof TRAY_FOR)[number];

/** How: as usual, with little ink, in large print, or drawn by hand where there is no printer. */
export const TRAY_VERSIONS = ['usual', 'ink', 'large', 'by-hand'] as const;
export type TrayVersion = (typeof TRAY_VERSIONS)[number];

export interface TrayHome {
  readonly nickname: string;
  readonly children: readonly string[];
  /** What goes into its kit, in words; empty when it needs none. */
  readonly kit: readonly string[];
  /** Its guide, where that can be laid out here; null where it is printed from its own page. */
  readonly guide?: GuideSheet | null | undefined;
}

/** A tray of more pages is refused: nobody prints it, and laying it out would hold up others. */
export const MOST_TRAY_PAGES = 1200;

export interface TrayInput {
  readonly session: Pick<Session, 'title' | 'segments'>;
  readonly for: TrayFor;
  readonly homes: readonly TrayHome[];
  readonly version: TrayVersion;
  readonly paper: Paper;
}

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
export function layTray(input: TrayInput): Tray {
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
export function estimateTrayPages(input: TrayInput): number {
  return layTray(input).pages.length;
}

export interface Tray {
  /** In the order of printing; two to a sheet, front and back, when it is printed on both sides. */
  readonly pages: readonly Page[];
  readonly isTwoSided: boolean;
}

interface TrayPart {
  readonly title: string;
  readonly pages: readonly Page[];
}

function trayParts({ session, for: whom, homes, version }: TrayInput, settings: SheetSettings): TrayPart[] {
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

/** What a part's maker made, for its dials as they stand; null for parts that no maker wrote. Play only: no sheets. */
export function madeOf({ made }: Segment): Made | null {
  const maker = made && findMaker(made.maker);
  const answer = maker && runMaker(maker, made.values, made.settings);
  if (!answer?.ok) return null;
  const { printable } = answer.value;
  return made!.settings.playOnly ? { ...answer.value, printable: { ...printable, sheets: [] } } : answer.value;
}

/** A set of one home carries its name, so that cut cards do not get mixed. */
function withOwner(made: Made, nickname: string | undefined): Made {
  if (!nickname) return made;
  const { printable } = made;
  return { ...made, printable: { ...printable, title: `${printable.title}, for ${nickname}` } };
}

/** Everything larger, but never larger than the paper. */
function enlarged(made: Made, area: { readonly width: number; readonly height: number }): Made {
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

function namePages(homes: readonly TrayHome[], settings: SheetSettings): Page[] {
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

function kitPages({ nickname, kit }: TrayHome, settings: SheetSettings): Page[] {
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
function byHandPages(title: string, made: Made, settings: SheetSettings): Page[] {
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

function contentsPage(
  { session, for: whom, homes, version }: TrayInput,
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

function chunks<Item>(list: readonly Item[], size: number): Item[][] {
  return Array.from({ length: Math.ceil(list.length / size) }, (_, index) =>
    list.slice(index * size, (index + 1) * size),
  );
}
