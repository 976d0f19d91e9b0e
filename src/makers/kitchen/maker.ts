import { measureMessage, shareVolumes } from '../../core/numbers/index.ts';
import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { inColumn, labelled } from '../../core/page/index.ts';
import {
  lasting,
  linesAbout,
  type Maker,
  type MakerMaterial,
  numberOf,
  refuse,
  usedUp,
} from '../../core/makers/index.ts';

interface Ingredient {
  readonly item: string;
  /** Millilitres for one person; 0 for what is counted instead. */
  readonly ml: number;
  /** How many of it for one person, where it is counted. */
  readonly pieces?: number;
  /** Millilitres in one of the things as it is listed; absent for water and what is counted. */
  readonly mlOfThing?: number;
}

/** Small recipes of our own for one person; what is not cooked with is not eaten. */
const RECIPES: Readonly<Record<string, { readonly parts: readonly Ingredient[]; readonly isHot: boolean }>> = {
  'flat-bread': {
    isHot: true,
    parts: [
      { item: 'flour', ml: 80, mlOfThing: 240 },
      { item: 'water', ml: 30 },
      { item: 'salt', ml: 1.25, mlOfThing: 240 },
    ],
  },
  'fruit-bowl': {
    isHot: false,
    parts: [
      { item: 'apple', ml: 0, pieces: 0.5 },
      { item: 'lemon', ml: 0, pieces: 0.25 },
      { item: 'cinnamon', ml: 1.25, mlOfThing: 15 },
    ],
  },
  'rice-in-a-bowl': {
    isHot: true,
    parts: [
      { item: 'rice', ml: 60, mlOfThing: 240 },
      { item: 'water', ml: 120 },
      { item: 'salt', ml: 0.6, mlOfThing: 240 },
    ],
  },
};
const SPOONS = [5, 15];
const CUP = 240;

const SMALLEST_TIN = 12;
/** A round tin of this width in cm takes what is meant for four. */
const TIN_FOR_FOUR = 20;

/** For how many a round tin or pan is filled, by its area: at least one. */
function portionsIn(widthCm: number): number {
  return Math.max(1, Math.round(4 * (widthCm / TIN_FOR_FOUR) ** 2));
}

/** What goes in for so many people, as a kitchen measures or counts it. */
function amountOf({ item, ml, pieces }: Ingredient, people: number): Message {
  if (pieces !== undefined)
    return { key: `kitchen/pieces.${item}`, values: { pieces: Math.ceil(pieces * people - 1e-9) } };
  return { key: 'kitchen/amount', values: { amount: measured(ml * people), what: { key: `kitchen/item.${item}` } } };
}

/** Less than half a teaspoon is a pinch, and nobody measures that. */
function measured(ml: number): Message {
  if (ml < SPOONS[0]! / 2) return { key: 'kitchen/pinch' };
  const { measures } = shareVolumes({ container: Math.max(5, ml), parts: [1], headroom: 0, spoons: SPOONS, cup: CUP });
  return measureMessage(measures[0]!);
}

/** One small recipe for the people there, in cups and spoons: who does which step, and what has to be bought. */
export const maker: Maker = {
  id: 'kitchen',
  place: 270,
  skills: ['compare', 'self-care'],
  dials: [
    { kind: 'choice', name: 'recipe', choices: Object.keys(RECIPES), value: 'flat-bread' },
    { kind: 'number', name: 'people', min: 1, max: 12, value: 4 },
    { kind: 'number', name: 'tin', min: 0, max: 30, value: 0 },
  ],
  make(values, _settings, say) {
    const people = numberOf(values, 'people');
    const recipe = RECIPES[String(values.recipe)]!;
    const tin = numberOf(values, 'tin');
    if (tin > 0 && tin < SMALLEST_TIN) return refuse('problem.small-tin', { tin, least: SMALLEST_TIN });
    const portions = tin === 0 ? people : portionsIn(tin);
    const amounts = recipe.parts.map((part) => amountOf(part, portions));
    const half = recipe.parts.map((part) => amountOf(part, portions / 2));
    const facts: MessageValues = {
      recipe: { key: `kitchen/recipe.${slug(values.recipe)}` },
      people,
      tin,
      portions,
      each: tin === 0 || portions >= people ? 'enough' : 'less',
      amounts: listOf(amounts),
      parts: amounts.length,
      firstAmount: amounts[0]!,
      halfAmount: half[0]!,
      hot: recipe.isHot ? 'yes' : 'no',
      work: { key: `kitchen/work.${slug(values.recipe)}`, values: { people: portions } },
      adult: { key: `kitchen/adult.${slug(values.recipe)}` },
      end: { key: `kitchen/end.${slug(values.recipe)}` },
      double: people * 2,
    };
    const write = linesAbout(say, facts);
    const sayMessage = ({ key, values: said }: Message) => say(key, said);
    return ok({
      facts: [say('fact', facts), ...(tin > 0 ? [say('fact.tin', facts)] : [])],
      values: facts,
      turns: { count: recipe.parts.length + portions, seconds: 60 },
      picture: inColumn(
        amounts.map((amount) => labelled(sayMessage(amount), { width: 90, height: 14 })),
        2,
      ),
      lines: {
        easier: write('do-2', 'ask-1', 'do-3', 'do-4'),
        right: write('do-1', 'ask-2', 'do-5', 'do-3', 'do-4', 'ask-3', 'notice-1'),
        harder: write('do-1', 'ask-4', 'do-3', 'do-4', 'ask-5'),
      },
      materials: [
        ...recipe.parts.filter(({ item }) => item !== 'water').map((part) => bought(part, portions)),
        lasting('mixing-bowl', 1, [{ item: 'bowl', fit: 0.8, why: say('swap.bowl') }]),
        lasting('measuring-cup', 1, [{ item: 'cup', fit: 0.7, why: say('swap.cup') }]),
        lasting('cup', 2, [{ item: 'bowl', fit: 0.7, why: say('swap.alike') }]),
        lasting('teaspoon', 1),
        lasting('spoon', 1),
        lasting('wooden-spoon', 1),
      ],
      actions: recipe.isHot ? ['heat'] : [],
      printable: {
        title: say('printable'),
        cards: amounts.map((amount) => labelled(sayMessage(amount), { width: 85, height: 50, size: 9 })),
        sheets: [],
      },
      key: [say('key', facts)],
    });
  },
};

const slug = (value: unknown) => String(value).replaceAll(' ', '-');

/** What is fetched or bought: whole things. */
function bought({ item, ml, pieces, mlOfThing = CUP }: Ingredient, people: number): MakerMaterial {
  const whole = pieces === undefined ? (ml * people) / mlOfThing : pieces * people;
  return { ...usedUp(item, Math.max(1, Math.ceil(whole - 1e-9))), eaten: true };
}
