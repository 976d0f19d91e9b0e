import { listOf, type Message, type MessageValue, type MessageValues, type Say } from '../../core/message.ts';
import { ok, type Outcome } from '../../core/outcome.ts';
import { type Drawing, inGrid, type Shape } from '../../core/page/index.ts';
import { secondsOfWork } from '../../core/time/index.ts';
import {
  inOwn,
  lasting,
  type Maker,
  numberOf,
  readOwnWords,
  type Refusal,
  refuseList,
  refuse,
  WRITTEN_WHOLE,
} from '../../core/makers/index.ts';
import type { MakerValues } from '../../core/session/index.ts';
import { plays } from './scripts.en.ts';

const THINGS = ['cup', 'plate', 'spoon', 'paper-napkin'] as const;
const STORIES = ['our-house', 'post-office', 'night-animals', 'washing', 'your-own'] as const;
const MOST_PEOPLE = 12;
/** So many come at the easier level. */
const FEW = 3;

const said = (name: string, values?: MessageValues): Message => ({ key: `place-settings/${name}`, values });
const counted = (thing: string, number: number) => said(thing, { number });
const both = (items: readonly MessageValue[]) => listOf(items, 'and');

/** A table laid for everybody, and how many more are needed. */
export const maker: Maker = {
  id: 'place-settings',
  place: 20,
  skills: ['match', 'how-many'],
  dials: [
    { kind: 'choice', name: 'story', choices: STORIES, value: 'our-house' },
    { kind: 'number', name: 'people', min: 2, max: MOST_PEOPLE, value: 4 },
    { kind: 'number', name: 'things', min: 1, max: 4, value: 3 },
    { kind: 'number', name: 'placed', min: 0, max: 12, value: 1 },
    { kind: 'list', name: 'who', value: '' },
  ],
  plays,
  formerWays: {
    sitting: 'supper',
    'moving-about': 'picnic',
    'as-a-game': 'cafe',
    'two-children': 'cafe',
    'during-the-day': 'real-tea',
    'five-minutes': 'real-tea',
  },
  make(values, _settings, say) {
    const people = numberOf(values, 'people');
    const things = numberOf(values, 'things');
    const placed = numberOf(values, 'placed');
    if (placed > people) return refuse('problem.too-many', { placed, people });
    const guests = guestsOf(values, people, say);
    if (!guests.ok) return guests;
    const items = THINGS.slice(0, things);
    const facts: MessageValues = {
      ...placesFor(people, things, placed),
      ...wordsFor(items, people),
      ...whoComes(guests.value, String(values.story), say),
    };
    const isShort = values.variant === 'real-tea';
    const isPicnic = values.variant === 'picnic';
    const laid = isShort ? items.slice(0, 1) : items;
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      holds: {
        'none out': placed === 0,
        'some out': placed > 0,
        'some missing': placed < people,
        'none missing': placed === people,
        'two kinds': things > 1,
        'three kinds': things > 2,
        'four kinds': things > 3,
        'three or more': people > 2,
        'a crowd': people > 3,
      },
      turns: {
        count: 1,
        seconds: secondsOfWork({
          'hand-over': people * laid.length,
          carry: isPicnic ? 2 * things + people : isShort ? 1 : things + 1,
        }),
      },
      picture: inGrid(
        Array.from({ length: people }, (_, person) => place(things, person < placed)),
        4,
        3,
      ),
      lines: WRITTEN_WHOLE,
      materials: [
        ...laid.map((item) => lasting(item, people + 1)),
        ...(isPicnic
          ? [
              lasting('cushion', people, [{ item: 'paper', fit: 0.8, why: say('swap.paper') }]),
              lasting('towel', 1, [{ item: 'blanket', fit: 1, why: say('swap.blanket') }]),
            ]
          : []),
        ...(isPicnic || isShort
          ? []
          : [lasting('chair', people + 1, [{ item: 'cushion', fit: 0.9, why: say('swap.cushion') }])]),
      ],
      actions: [],
      printable: { title: say('printable'), cards: [], sheets: [] },
      key: [say('key', facts)],
    });
  },
};

/** Names of those who come, as many as there are places; the author's own, or those of the story. */
function guestsOf(values: MakerValues, people: number, say: Say): Outcome<readonly MessageValue[], Refusal> {
  const story = String(values.story);
  if (story !== 'your-own') return ok(say(story).split('|').slice(0, people));
  const own = readOwnWords(String(values.who), { dial: 'who', least: 2, most: MOST_PEOPLE });
  if (!own.ok) return own;
  const names = own.value.length;
  if (names < people) return refuseList('who', 'place-settings/problem.few-names', { names, people });
  return ok(own.value.slice(0, people).map(inOwn));
}

function placesFor(people: number, things: number, placed: number): MessageValues {
  const all = people * things;
  const few = Math.min(FEW, people);
  const takenBack = 2 * (things - 1);
  return {
    people,
    things,
    placed,
    all,
    more: people - placed,
    later: people + 1,
    allAndLate: all + things,
    trips: Math.ceil(all / 2),
    odd: all % 2,
    twoPlaces: 2 * things,
    allButTwo: all - 2 * things,
    butTwo: people - 2,
    takenBack,
    afterLate: all - takenBack + things,
    bill: 2 * (people + 1),
    fewCount: few,
    fewMore: few - 1,
    fewCounted: said(`counted.${few}`),
  };
}

function wordsFor(items: readonly string[], people: number): MessageValues {
  const names = ['first', 'second', 'third', 'fourth'];
  // What there is no further kind of is in no line.
  const kinds = names.flatMap((name, index) => {
    const item = items[index] ?? items[0]!;
    return [
      [`${name}One`, said(`one.${item}`)],
      [`${name}Many`, said(`many.${item}`)],
    ] as const;
  });
  const each = items.map((item) => said(`a.${item}`));
  return {
    ...(Object.fromEntries(kinds) as MessageValues),
    fewer: counted(items[1] ?? items[0]!, people - 1),
    fewer3: counted(items[2] ?? items[0]!, people - 1),
    everything: both(items.map((item) => counted(item, people))),
    oneOfEach: both(each),
    lateNeeds: both([said('a.chair'), ...each]),
  };
}

function whoComes(guests: readonly MessageValue[], story: string, say: Say): MessageValues {
  return {
    guests: both(guests),
    few: both(guests.slice(0, FEW)),
    lastTwo: both(guests.slice(-2)),
    late: say(`${story}.late`),
    Late: say(`${story}.Late`),
  };
}

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
