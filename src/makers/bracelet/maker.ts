import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, inkNamed, type Shape } from '../../core/page/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  readOwnWords,
  refuse,
  usedUp,
} from '../../core/makers/index.ts';

/** So much longer than the wrist, so that it goes over the hand. */
const EASE_MM = 15;
/** So much of the string is for holding and the knot. */
const TAIL_MM = 150;

/** A string of beads to the wrist: whole units of a pattern, and how many beads of each colour. */
export const maker: Maker = {
  id: 'bracelet',
  place: 180,
  skills: ['pattern', 'count-out'],
  dials: [
    { kind: 'number', name: 'wrist', min: 90, max: 220, value: 140 },
    { kind: 'number', name: 'bead', min: 4, max: 30, value: 10 },
    { kind: 'list', name: 'unit', value: 'red red blue' },
  ],
  make(values, _settings, say) {
    const wrist = numberOf(values, 'wrist');
    const bead = numberOf(values, 'bead');
    const unit = String(values.unit)
      .toLowerCase()
      .split(/[\s,]+/)
      .filter(Boolean);
    const kinds = [...new Set(unit)];
    const read = readOwnWords(kinds.join(', '), { dial: 'unit', least: 2, most: 4 });
    if (!read.ok) return read;
    if (unit.length > 8) return refuse('problem.long-unit', { pieces: unit.length });
    const fit = Math.floor((wrist + EASE_MM) / bead);
    const units = Math.floor(fit / unit.length);
    if (units < 2) return refuse('problem.short', { units, fit, unit: unit.length });
    const beads = units * unit.length;
    const each = kinds.map((kind): Message => ({
      key: 'bracelet/amount',
      values: { number: units * unit.filter((name) => name === kind).length, kind: inOwn(kind) },
    }));
    const facts: MessageValues = {
      wrist,
      bead,
      fit,
      units,
      beads,
      spare: fit - beads,
      length: beads * bead,
      string: wrist + EASE_MM + TAIL_MM,
      unit: listOf(unit.map(inOwn), 'comma'),
      pieces: unit.length,
      each: listOf(each),
      first: inOwn(unit[0]!),
      firstBeads: units * unit.filter((name) => name === kinds[0]).length,
      short: beads - unit.length,
      fewer: units - 1,
    };
    const write = linesAbout(say, facts);
    const row = beadString(unit, units);
    return ok({
      facts: [say('fact', facts), say('fact.spare', facts)],
      values: facts,
      turns: { count: beads, seconds: 12 },
      picture: row,
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'say-1', 'ask-2', 'ask-3', 'notice-1'),
        harder: write('do-1', 'ask-4', 'ask-5'),
      },
      materials: [
        lasting('pasta-shape', beads, [{ item: 'button', fit: 0.8, why: say('swap.button') }]),
        usedUp('string', 1, [{ item: 'shoelace', fit: 1, why: say('swap.shoelace') }]),
        usedUp('masking-tape', 1),
      ],
      actions: ['cords'],
      printable: { title: say('printable'), cards: [], sheets: [row] },
      key: [say('key', facts)],
    });
  },
};

/** The beads in their order, in rows of a page's width. */
function beadString(unit: readonly string[], units: number): Drawing {
  const beads = Array.from({ length: unit.length * units }, (_, index) => unit[index % unit.length]!);
  const kinds = [...new Set(unit)];
  const perRow = 18;
  const step = 9;
  const rows = Math.ceil(beads.length / perRow);
  return {
    width: Math.min(beads.length, perRow) * step,
    height: rows * 14,
    shapes: beads.map((name, index): Shape => {
      const x = ((index % perRow) + 0.5) * step;
      const y = (Math.floor(index / perRow) + 0.5) * 14;
      const place = kinds.indexOf(name);
      const fill = inkNamed(name) ?? (['teal', 'marigold', 'mulberry', 'pale'] as const)[place]!;
      return place % 2 === 0
        ? { kind: 'circle', x, y, r: 4, fill, stroke: 'ink', width: 0.4 }
        : { kind: 'rect', x: x - 3.5, y: y - 3.5, w: 7, h: 7, fill, stroke: 'ink', width: 0.4 };
    }),
  };
}
