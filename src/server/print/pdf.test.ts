import { makerTitle } from '../../messages/makers.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { flowPages, type Page } from '../../core/page/index.ts';
import { USUAL_SETTINGS } from '../../core/session/index.ts';
import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, test } from 'node:test';
import { firstValues, makerPages, runMaker } from '../../core/makers/index.ts';
import { MAKERS } from '../../makers/index.ts';
import { writePdf } from './pdf.ts';

const folder = mkdtempSync(join(tmpdir(), 'footstool-pdf-'));
after(() => rmSync(folder, { recursive: true, force: true }));

/** Runs a tool of poppler on a PDF; it must not warn. */
function poppler(tool: string, pdf: Buffer, ...words: string[]): string {
  const path = join(folder, 'page.pdf');
  writeFileSync(path, pdf);
  const run = spawnSync(
    tool,
    words.map((word) => (word === 'PDF' ? path : word)),
    { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 },
  );
  assert.equal(run.stderr, '', `${tool} warned`);
  assert.equal(run.status, 0);
  return run.stdout;
}
const MM_PER_POINT = 25.4 / 72;

/** Ends of straight strokes in millimetres, as poppler draws them. */
function strokes(pdf: Buffer): [number, number, number, number][] {
  const svg = poppler('pdftocairo', pdf, '-svg', 'PDF', '-');
  return [...svg.matchAll(/<path[^>]* d="M ([\d.-]+) ([\d.-]+) L ([\d.-]+) ([\d.-]+) ?"([^>]*)>/g)].map((match) => {
    const matrix = /matrix\(([\d.-]+), ?[\d.-]+, ?[\d.-]+, ?([\d.-]+), ?([\d.-]+), ?([\d.-]+)\)/.exec(match[0]);
    const [a, d, e, f] = matrix ? matrix.slice(1).map(Number) : [1, 1, 0, 0];
    const [x1, y1, x2, y2] = match.slice(1, 5).map(Number) as [number, number, number, number];
    return [
      (x1 * a! + e!) * MM_PER_POINT,
      (y1 * d! + f!) * MM_PER_POINT,
      (x2 * a! + e!) * MM_PER_POINT,
      (y2 * d! + f!) * MM_PER_POINT,
    ];
  });
}

const settings = { paper: 'a4', margin: 12, speech: authorSpeech } as const;

test('the mark of 50 mm is 50.0 mm long in the PDF, on A4 and on Letter', async () => {
  for (const paper of ['a4', 'letter'] as const) {
    const pdf = await writePdf(
      flowPages([{ width: 10, height: 10, shapes: [] }], { title: 'Ruler', settings: { ...settings, paper } }),
      { title: 'Ruler' },
    );
    const lengths = strokes(pdf).map(([x1, y1, x2, y2]) => Math.hypot(x2 - x1, y2 - y1));
    assert.ok(
      lengths.some((length) => Math.abs(length - 50) <= 0.2),
      `strokes of ${lengths.map((length) => length.toFixed(2)).join(', ')} mm`,
    );
    assert.match(
      poppler('pdfinfo', pdf, 'PDF'),
      paper === 'a4' ? /Page size: +595\.\d+ x 841\.\d+ pts \(A4\)/ : /Page size: +612 x 792 pts/,
    );
  }
});

test('a line of any length stands where it was put, to a fifth of a millimetre', async () => {
  const page: Page = {
    width: 210,
    height: 297,
    title: 'Line',
    shapes: [{ kind: 'line', x1: 20, y1: 30, x2: 143.7, y2: 30, stroke: 'ink', width: 0.4 }],
  };
  const [[x1, y1, x2, y2]] = strokes(await writePdf([page], { title: 'Line' })) as [[number, number, number, number]];
  for (const [found, wanted] of [
    [x1, 20],
    [x2, 143.7],
    [y1, 30],
    [y2, 30],
  ] as const)
    assert.ok(Math.abs(found - wanted) < 0.2, `${found} for ${wanted}`);
});

for (const maker of MAKERS) {
  test(`${maker.id}: what it prints opens without a warning, to size, with its answers as text and fonts embedded`, async () => {
    const made = runMaker(maker, firstValues(maker), { settings: USUAL_SETTINGS, speech: authorSpeech });
    assert.ok(made.ok);
    const pages = makerPages(makerTitle(maker.id), made.value, settings);
    const pdf = await writePdf(pages, { title: makerTitle(maker.id) });
    assert.match(poppler('pdfinfo', pdf, 'PDF'), new RegExp(`Pages: +${pages.length}\\n`));
    const text = poppler('pdftotext', pdf, 'PDF', '-').replace(/\s+/g, ' ');
    assert.ok(text.includes(`${makerTitle(maker.id)}: the answers`), text.slice(0, 200));
    assert.ok(text.includes('50 mm when printed at 100 %'));
    const fonts = poppler('pdffonts', pdf, 'PDF').trim().split('\n').slice(2);
    assert.ok(fonts.length > 0 && fonts.every((line) => /Andika.* yes +yes/.test(line)), fonts.join('\n'));
    const { printable } = made.value;
    const [card] = printable.cards;
    if (card) {
      const cut = pages[0]!.shapes.filter((shape) => shape.kind === 'rect' && shape.isDashed);
      assert.ok(
        cut.every(
          (shape) =>
            shape.kind === 'rect' && [shape.w, shape.h].sort().join() === [card.width, card.height].sort().join(),
        ),
      );
    }
    for (const page of pages)
      for (const shape of page.shapes)
        if (shape.kind === 'circle')
          assert.ok(
            shape.x - shape.r >= 0 && shape.x + shape.r <= page.width && shape.y + shape.r <= page.height,
            'a circle is cut off',
          );
  });
}

test('a PDF is tagged, titled and in its language, so that it can be read out', async () => {
  const shapes = [
    { kind: 'text', x: 20, y: 30, size: 6, text: 'Dos calcetines' },
    { kind: 'line', x1: 20, y1: 40, x2: 60, y2: 40, stroke: 'ink' },
  ] as const;
  const pdf = await writePdf([{ width: 210, height: 297, title: 'Para leer', shapes }], {
    title: 'Calcetines',
    language: 'es',
  });
  const info = poppler('pdfinfo', pdf, 'PDF');
  assert.match(info, /Title:\s+Calcetines/);
  assert.match(info, /Tagged:\s+yes/);
  const read = poppler('pdfinfo', pdf, '-struct-text', 'PDF');
  assert.match(read, /Document "Calcetines"[\s\S]*Sect "Para leer"[\s\S]*P[\s\S]*Dos calcetines/);
  assert.match(pdf.toString('latin1'), /\/Lang \(es\)/);
});
