import { authorSpeech } from '../../messages/speeches.ts';
import { flowPages, writing } from './flow.ts';
import { cardPages, sheetCards } from './cards.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { moved, scaled, type Drawing, type Shape } from './drawing.ts';
import { PAPERS, printableArea, RULER_MM, type Paper, type SheetSettings } from './paper.ts';
import { dotFace, LEAST_DOT_MM, tenFrame } from './pieces.ts';
import { breakLines, fittingSize, textWidth } from './text.ts';

const settings = (paper: Paper = 'a4', margin = 12): SheetSettings => ({ paper, margin, speech: authorSpeech });
const card = (width: number, height: number, text = ''): Drawing => ({
  width,
  height,
  shapes: [{ kind: 'text', x: 1, y: 5, size: 4, text }],
});
const papers = fc.constantFrom<Paper>('a4', 'letter');
const sizes = fc.record({ width: fc.integer({ min: 15, max: 220 }), height: fc.integer({ min: 15, max: 220 }) });

/** Fewest sheets by trying both ways and counting how many fit one by one. */
function fewestSheets({ width, height }: { width: number; height: number }, count: number, paper: Paper): number {
  const area = printableArea(settings(paper));
  const fits = (w: number, h: number) => {
    let across = 0;
    while ((across + 1) * w <= area.width) across += 1;
    let down = 0;
    while ((down + 1) * h <= area.height) down += 1;
    return across * down;
  };
  const most = Math.max(fits(width, height), fits(height, width));
  return most === 0 ? Infinity : Math.ceil(count / most);
}

test('cards take the fewest sheets, upright or turned, and each stands once', () => {
  fc.assert(
    fc.property(
      sizes,
      fc.integer({ min: 0, max: 60 }),
      papers,
      fc.constantFrom('reading' as const, 'stack' as const),
      (size, count, paper, order) => {
        const laid = sheetCards(size, count, { settings: settings(paper), order });
        const fewest = fewestSheets(size, count, paper);
        assert.equal(laid === null, fewest === Infinity);
        if (!laid) return;
        assert.equal(laid.sheets.length, fewest);
        assert.deepEqual(
          laid.sheets.flat().sort((a, b) => a - b),
          Array.from({ length: count }, (_, index) => index),
        );
      },
    ),
  );
});

test('dealt for stacks, the piles of cut cards keep their order when they are laid on each other', () => {
  fc.assert(
    fc.property(sizes, fc.integer({ min: 1, max: 60 }), (size, count) => {
      const laid = sheetCards(size, count, { settings: settings(), order: 'stack' });
      if (!laid) return;
      const places = laid.columns * laid.rows;
      const piles = Array.from({ length: places }, (_, place) => laid.sheets.flatMap((sheet) => sheet[place] ?? []));
      assert.deepEqual(
        piles.flat(),
        Array.from({ length: count }, (_, index) => index),
      );
    }),
  );
});

test('nothing of a card leaves its sheet, whatever the paper', () => {
  fc.assert(
    fc.property(sizes, fc.integer({ min: 1, max: 9 }), papers, (size, count, paper) => {
      const pages = cardPages(
        Array.from({ length: count }, () => card(size.width, size.height)),
        { title: 'Cards', settings: settings(paper) },
      );
      for (const page of pages) {
        assert.deepEqual([page.width, page.height], [PAPERS[paper].width, PAPERS[paper].height]);
        for (const shape of page.shapes)
          if (shape.kind === 'rect')
            assert.ok(
              shape.x >= 12 - 1e-6 &&
                shape.y >= 12 - 1e-6 &&
                shape.x + shape.w <= page.width - 12 + 1e-6 &&
                shape.y + shape.h <= page.height - 24 + 1e-6,
            );
      }
    }),
  );
});

test('the back of a card lies behind its front when the sheet is turned over its long edge', () => {
  const count = 5;
  const fronts = Array.from({ length: count }, (_, index) => card(60, 40, `front ${index}`));
  const backs = Array.from({ length: count }, (_, index) => card(60, 40, `back ${index}`));
  const pages = cardPages(fronts, { title: 'Cards', settings: settings(), backs });
  assert.equal(pages.length, 2);
  const at = (page: number, text: string) =>
    pages[page]!.shapes.find((shape) => shape.kind === 'text' && shape.text === text) as Extract<
      Shape,
      { kind: 'text' }
    >;
  for (let index = 0; index < count; index++) {
    const front = at(0, `front ${index}`);
    const back = at(1, `back ${index}`);
    assert.equal(front.y, back.y);
    // Both start 1 mm from the left of their card; mirrored, the card lies as far from the other edge.
    assert.ok(Math.abs(front.x - 1 - (210 - (back.x - 1) - 60)) < 1e-9);
  }
});

test('every sheet carries a mark of 50 mm and what it is', () => {
  const [page] = flowPages([card(40, 40)], { title: 'A sheet', settings: settings() });
  const ruler = page!.shapes.find((shape) => shape.kind === 'line' && shape.y1 === shape.y2) as Extract<
    Shape,
    { kind: 'line' }
  >;
  assert.equal(ruler.x2 - ruler.x1, RULER_MM);
  assert.ok(page!.shapes.some((shape) => shape.kind === 'text' && shape.text === 'A sheet'));
  assert.deepEqual(flowPages([], { title: 'None', settings: settings() }), []);
});

test('with little ink grounds become outlines, and dots that are counted stay', () => {
  const shapes: Shape[] = [
    { kind: 'rect', x: 0, y: 0, w: 9, h: 9, fill: 'teal' },
    { kind: 'circle', x: 5, y: 5, r: 5, fill: 'ink' },
  ];
  const [page] = flowPages([{ width: 10, height: 10, shapes }], {
    title: 'x',
    settings: { ...settings(), savesInk: true },
  });
  const [ground, dot] = page!.shapes as [Extract<Shape, { kind: 'rect' }>, Extract<Shape, { kind: 'circle' }>];
  assert.deepEqual([ground.fill, ground.stroke, dot.fill], [undefined, 'ink', 'ink']);
});

test('a drawing moved or made larger keeps its shape', () => {
  const drawing: Drawing = {
    width: 4,
    height: 4,
    shapes: [
      { kind: 'line', x1: 0, y1: 1, x2: 2, y2: 3 },
      {
        kind: 'polygon',
        points: [
          [0, 0],
          [1, 2],
        ],
      },
    ],
  };
  assert.deepEqual(moved(drawing.shapes, 5, 6)[0], { kind: 'line', x1: 5, y1: 7, x2: 7, y2: 9 });
  assert.deepEqual(scaled(drawing, 2).shapes[1], {
    kind: 'polygon',
    points: [
      [0, 0],
      [2, 4],
    ],
  });
});

test('lines are broken to a width, and no word is lost', () => {
  fc.assert(
    fc.property(
      fc.array(fc.stringMatching(/^[a-z]{1,9}$/), { maxLength: 40 }),
      fc.integer({ min: 20, max: 120 }),
      (words, width) => {
        const lines = breakLines(words.join(' '), 5, width);
        assert.deepEqual(lines.join(' '), words.join(' '));
        assert.ok(lines.every((line) => textWidth(line, 5) <= width || !line.includes(' ')));
      },
    ),
  );
  assert.ok(Math.abs(textWidth('a very long name', fittingSize('a very long name', 30, 12)) - 30) < 1e-9);
  assert.equal(writing([], { width: 10, size: 3 }).height, 0);
});

test('a dot on a card of 45 mm is countable from two metres, lies inside its face, and touches no other', () => {
  for (let count = 0; count <= 6; count++) {
    const dots = dotFace(count, 45).shapes as Extract<Shape, { kind: 'circle' }>[];
    assert.equal(dots.length, count);
    dots.forEach((dot, index) => {
      assert.ok(dot.r * 2 >= LEAST_DOT_MM);
      assert.ok(dot.x - dot.r >= 0 && dot.x + dot.r <= 45 && dot.y - dot.r >= 0 && dot.y + dot.r <= 45);
      for (const other of dots.slice(index + 1))
        assert.ok(Math.hypot(dot.x - other.x, dot.y - other.y) > dot.r * 2 + 1);
    });
  }
  for (let count = 7; count <= 12; count++) {
    const { shapes } = dotFace(count, 22);
    const dice = shapes.flatMap((shape) => (shape.kind === 'rect' ? [shape] : []));
    const dotsOn = dice.map(
      ({ x, y, w, h }) =>
        shapes.filter(
          (dot) =>
            dot.kind === 'circle' &&
            dot.x - dot.r > x &&
            dot.x + dot.r < x + w &&
            dot.y - dot.r > y &&
            dot.y + dot.r < y + h,
        ).length,
    );
    assert.deepEqual(dotsOn, [6, count - 6]);
  }
  assert.equal(tenFrame(10, 6, { second: 2 }).shapes.filter((shape) => shape.kind === 'circle').length, 10);
});
