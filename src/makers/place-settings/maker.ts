import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, inGrid, type Shape } from '../../core/page/index.ts';
import {
  lasting,
  linesAbout,
  lineWriters,
  type Maker,
  type MakerLine,
  numberOf,
  refuse,
} from '../../core/makers/index.ts';

const THINGS = ['cup', 'plate', 'spoon', 'paper-napkin'] as const;
type SetThing = (typeof THINGS)[number];
/** A run asks so often how many more; then it is the same again. */
const MOST_ASKED = 3;

const counted = (thing: SetThing, number: number): Message => ({
  key: `place-settings/${thing}`,
  values: { number },
});

/** A table laid for everybody, and how many more are needed. */
export const maker: Maker = {
  id: 'place-settings',
  place: 20,
  skills: ['match', 'how-many'],
  dials: [
    { kind: 'number', name: 'people', min: 2, max: 12, value: 4 },
    { kind: 'number', name: 'things', min: 1, max: 4, value: 3 },
    { kind: 'number', name: 'placed', min: 0, max: 12, value: 1 },
  ],
  make(values, _settings, say) {
    const people = numberOf(values, 'people');
    const things = numberOf(values, 'things');
    const placed = numberOf(values, 'placed');
    if (placed > people) return refuse('problem.too-many', { placed, people });
    const items = THINGS.slice(0, things);
    const last = items.at(-1)!;
    const more = people - placed;
    const fetched = items.flatMap((item) => {
      const number = item === 'cup' ? more : people;
      return number > 0 ? [counted(item, number)] : [];
    });
    const facts: MessageValues = {
      people,
      things,
      placed,
      more,
      all: people * things,
      fetch: fetched.length,
      fetched: listOf(fetched),
      later: people + 2,
      one: { key: `place-settings/one.${last}` },
      fewer: counted(last, people - 1),
    };
    const { toAsk } = lineWriters(say);
    const write = linesAbout(say, facts);
    const asked = Array.from({ length: more }, (_, step): MakerLine =>
      toAsk('ask-1', { cups: placed + step, left: more - step }),
    );
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: people * things, seconds: 8 },
      picture: inGrid(
        Array.from({ length: people }, (_, person) => place(things, person < placed)),
        4,
        3,
      ),
      lines: {
        easier: write('do-2', 'say-1'),
        right: [...write('do-1', 'say-1'), ...asked.slice(0, MOST_ASKED), ...write('notice-1')],
        harder: write('do-1', 'say-1', 'do-3', 'ask-2'),
      },
      materials: [
        ...items.map((item) => lasting(item, people)),
        lasting('chair', people, [{ item: 'cushion', fit: 0.9, why: say('swap.cushion') }]),
      ],
      actions: [],
      printable: { title: say('printable'), cards: [], sheets: [] },
      key:
        more > 0 ? asked.map((_, step) => say('key', { cups: placed + step, left: more - step })) : [say('key.none')],
    });
  },
};

/** A place at the table with so many things, and a cup that stands there or is still to come. */
function place(things: number, isPlaced: boolean): Drawing {
  const shapes: Shape[] = [{ kind: 'rect', x: 1, y: 1, w: 34, h: 26, stroke: 'line', width: 0.4, radius: 2 }];
  if (things > 1) shapes.push({ kind: 'circle', x: 18, y: 15, r: 9, stroke: 'ink', width: 0.5, fill: 'white' });
  if (things > 2) shapes.push({ kind: 'line', x1: 31, y1: 6, x2: 31, y2: 23, stroke: 'ink', width: 1.2 });
  if (things > 3) shapes.push({ kind: 'rect', x: 3, y: 8, w: 5, h: 14, fill: 'pale', stroke: 'soft', width: 0.3 });
  const cup = { x: 28, y: 6, r: 4, stroke: 'teal', width: 0.7, isDashed: !isPlaced } as const;
  shapes.push({ kind: 'circle', ...cup, fill: isPlaced ? 'teal' : undefined });
  return { width: 38, height: 30, shapes };
}
