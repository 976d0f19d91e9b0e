import { plainSegment, type Segment, type Session } from '../session/index.ts';
import type { Thing } from '../materials/index.ts';
import type { Home } from '../homes/index.ts';

/** A small session for tests: carts that each want the same number of lids, and a hunt that moves. */
const thing = (key: string, one: string, traits: readonly string[] = [], allergens: readonly string[] = []): Thing => ({
  key,
  one,
  many: `${one}s`,
  traits,
  allergens,
  givesOut: 100,
});

export const THINGS = {
  'bottle-lid': thing('bottle-lid', 'bottle lid', ['small-parts']),
  'jar-lid': thing('jar-lid', 'jar lid'),
  'small-box': thing('small-box', 'box'),
  'egg-carton': thing('egg-carton', 'egg carton', [], ['egg']),
};

export const CARTS: Segment = {
  ...plainSegment('carts', 'activity', 'Carts and lids', [6, 8, 12]),
  from: 'carts-and-lids',
  skills: ['count-out'],
  dials: [
    { name: 'boxes', label: 'boxes', min: 2, max: 6, value: 4 },
    { name: 'wheels', label: 'wheels on each', min: 2, max: 6, value: 4 },
  ],
  rightDials: { boxes: 4, wheels: 4 },
  lines: [
    { id: 'carts-1', kind: 'do', text: 'Put {boxes} {@boxes} in a row. Tip the {@lids} into a bowl.' },
    { id: 'carts-2', kind: 'ask', text: '“How many in all?”', answer: '{=boxes*wheels}' },
  ],
  needs: [
    {
      id: 'boxes',
      item: 'small-box',
      qty: 'boxes',
      per: 'home',
      use: 'lasting',
      swaps: [{ item: 'egg-carton', fit: 0.5, why: 'cut in half', sets: { wheels: 6 } }],
    },
    {
      id: 'lids',
      item: 'bottle-lid',
      qty: 'boxes*wheels',
      per: 'home',
      use: 'lasting',
      swaps: [{ item: 'jar-lid', fit: 0.9, why: 'larger' }],
    },
  ],
  minutes: { setup: [1, 2, 4], together: [4, '2+boxes*1.5', 12], alone: [0, 0, 0], tidy: [1, 1, 2] },
  levels: {
    easier: { text: '{boxes} boxes only.', dials: { boxes: 2 } },
    harder: { text: '{boxes} boxes.', dials: { boxes: 5 } },
  },
};

export const HUNT: Segment = {
  ...plainSegment('hunt', 'activity', 'Wheel hunt', [3, 5, 8]),
  posture: 'moving',
  actions: ['movement'],
};

export const SESSION: Session = {
  title: 'The cart',
  on: '2027-03-18',
  ages: { fromMonths: 36, toMonths: 71 },
  aim: 'Counts out.',
  segments: [plainSegment('book', 'book', 'The book', [4, 5, 8]), CARTS, HUNT],
  accepted: [],
};

/** A home with one child of three, unless told otherwise. */
export function homeWith(stock: Home['stock'], change: Partial<Home> = {}): Home {
  return {
    id: 'home',
    nickname: 'Blue door',
    children: [{ nickname: 'Pip', birthMonth: '2023-06' }],
    allergens: [],
    stock,
    ...change,
  };
}
