import {
  avoidedIn,
  CAUTION_RULES,
  type CautionPolicy,
  levelInRoom,
  namesWord,
  ownWordsOf,
  rulesOf,
} from '../cautions/index.ts';
import type { CalendarDate } from '../calendar/index.ts';
import type { ThingsByKey } from '../materials/index.ts';
import { byCodeUnit } from '../ordering.ts';
import type { Segment } from '../session/index.ts';
import { youngestMonthsOn, type Home } from './home.ts';
import { asUsed, type Household } from './household.ts';
import { readPart, type PartWord } from './partWords.ts';

/**
 * What somebody decided about a caution: it is fine as it is, the guide says a caution, the part goes to nobody, or a word
 * that means two things means the one that can hurt.
 */
export const DECISIONS = ['fine', 'caution', 'left-out', 'real'] as const;
/** What somebody decided about a caution. */
export type Decided = (typeof DECISIONS)[number];

/** Who is in the rooms a session goes to: a decision holds only for them. */
export interface Rooms {
  readonly youngestMonths: number;
  /** Everything that any of the homes must not have, in order. */
  readonly allergens: readonly string[];
}

/** A decision on a caution, for one part, one rule, the words it was made on and the rooms it was made for. */
export interface CautionDecision extends Rooms {
  readonly segment: string;
  readonly rule: string;
  /** The allergen or the thing it is about; empty where the rule says it all. */
  readonly subject: string;
  readonly text: string;
  readonly decided: Decided;
}

/** Decisions, the newest last, and the rooms as they are now. */
export interface SessionSafety {
  readonly decisions: readonly CautionDecision[];
  readonly rooms: Rooms;
}

/** Nothing was decided, and nobody is known to be in the rooms. */
export const NOTHING_DECIDED: SessionSafety = { decisions: [], rooms: { youngestMonths: 0, allergens: [] } };

/** Something a person looks at before a part is sent. */
export interface PartQuestion {
  readonly segment: string;
  /** `check`: it calls for care. `ask`: a word means two things. `unread`: nobody can read the language. `thing`: nobody has looked at the thing yet. */
  readonly kind: 'check' | 'ask' | 'unread' | 'thing';
  readonly rule: string;
  readonly subject: string;
  readonly words: readonly string[];
  /** The texts it stands in, each once, as one text; what a decision is made on. */
  readonly text: string;
  readonly line?: string | undefined;
}

/** Between allergens that one question is about. */
export const BETWEEN = '|';

/** Rules that stop somewhere and elsewhere only ask for care: a word for one matters where a small child is. */
const STOPS_SOMEWHERE: ReadonlySet<string> = new Set([
  ...['small-parts', 'small-balls', 'cords', 'bags', 'handled', 'food-counters', 'not-for-eating', 'honey'],
]);

/** Rules whose words somebody looks at; about others a word that means two things is worth no question. */
const GRAVE: ReadonlySet<string> = new Set([
  ...['heat', 'flame', 'blades', 'deep-water', 'road', 'heights', 'choking-food', 'balloons', 'small-balls', 'sun'],
  ...['magnets-cells-beads', 'cords', 'bags', 'cleaning', 'poison', 'medicine', 'wild-food', 'strange-animals'],
  ...['raw-dough', 'light'],
]);

/** A caution that says as much as another: where one is borne, the other is settled. */
const SAYS_TOO: Readonly<Record<string, readonly string[]>> = {
  'choking-food': ['food-counters'],
  flame: ['heat'],
  'deep-water': ['water'],
  'small-balls': ['small-parts'],
  handled: ['small-parts'],
  heights: ['climbing'],
};

/** Who is in the rooms of homes on a day: the youngest, and all that any of them must not have. */
export function roomsOf(homes: readonly Pick<Home, 'children' | 'allergens'>[], on: CalendarDate): Rooms {
  return {
    youngestMonths: homes.length === 0 ? 0 : Math.min(...homes.map((home) => youngestMonthsOn(home, on))),
    allergens: [...new Set(homes.flatMap(({ allergens }) => allergens))].sort(byCodeUnit),
  };
}

/** The cautions that a part bears by its actions and by the things that its script names. */
function borneBy(segment: Segment, things: ThingsByKey, policy: CautionPolicy): Set<string> {
  const borne = new Set(segment.actions);
  for (const need of segment.needs) {
    const thing = Object.hasOwn(things, need.item) ? things[need.item] : undefined;
    if (!thing) continue;
    const rules = rulesOf(asUsed(thing, need));
    for (const rule of rules) if (rule !== 'allergens' || thing.traits.includes(rule)) borne.add(rule);
    // What a thing holds settles only words that name it: at a home it may be swapped, and another stays in the line.
    for (const name of [thing.one, thing.many]) {
      for (const allergen of thing.allergens) borne.add(`holds ${allergen} ${name}`);
      if (rules.includes('choking-food') || thing.traits.includes('choking-food')) borne.add(`choking ${name}`);
    }
  }
  for (const rule of [...borne]) for (const other of SAYS_TOO[rule] ?? []) borne.add(other);
  // What a programme keeps unsaid is in no guide, so it settles nothing.
  for (const { rule } of policy.hidden) borne.delete(rule);
  return borne;
}

/** Whether a need's own thing is what a word names, and holds the allergen: then it is swapped or left out like any thing. */
export function isHeldByThing(
  { allergen = '', word }: { readonly allergen?: string | undefined; readonly word: string },
  borne: ReadonlySet<string>,
): boolean {
  return namesBorne(`holds ${allergen} `, word, borne);
}

/** Whether the part bears a rule already: by an action or a thing; round or hard food only by the thing that is named. */
export function isBorne(
  { rule, word }: { readonly rule: string; readonly word: string },
  borne: ReadonlySet<string>,
): boolean {
  return borne.has(rule) || (rule === 'choking-food' && namesBorne('choking ', word, borne));
}

function namesBorne(prefix: string, word: string, borne: ReadonlySet<string>): boolean {
  // The last word of a name is the thing: a cup of flour is flour, and an egg carton is no egg.
  return [...borne].some(
    (entry) =>
      entry.startsWith(prefix) &&
      (namesWord(word, entry.slice(prefix.length)) || namesWord(entry.split(' ').at(-1)!, word)),
  );
}

/** What a part bears and asks, known as long as the part, the things and the policy are the same. */
interface LookedOver {
  readonly things: ThingsByKey;
  readonly policy: CautionPolicy;
  readonly borne: ReadonlySet<string>;
  readonly questions: readonly PartQuestion[];
}

const lookedOver = new WeakMap<Segment, LookedOver>();

/** What a part bears and which questions it asks. */
export function lookOver(segment: Segment, things: ThingsByKey, policy: CautionPolicy): LookedOver {
  const before = lookedOver.get(segment);
  if (before?.things === things && before.policy === policy) return before;
  const borne = borneBy(segment, things, policy);
  const looked = { things, policy, borne, questions: questionsAbout(segment, things, borne) };
  lookedOver.set(segment, looked);
  return looked;
}

/** The questions about a part, whether they are answered or not: the words of one rule are one question. */
function questionsAbout(segment: Segment, things: ThingsByKey, borne: ReadonlySet<string>): PartQuestion[] {
  const groups = new Map<string, PartWord[]>();
  for (const word of readPart(segment, things).words) {
    if (!isQuestion(word, borne)) continue;
    const name = `${word.group === 'unread' ? 'unread' : 'ask'} ${word.rule} ${word.allergen ? word.word.toLowerCase() : ''}`;
    groups.set(name, [...(groups.get(name) ?? []), word]);
  }
  const asked = [...groups.values()].map((words): PartQuestion => {
    const [{ group, rule }] = words as [PartWord, ...PartWord[]];
    const allergens = [...new Set(words.flatMap(({ allergen }) => allergen ?? []))];
    const kind = group === 'unread' ? 'unread' : words.some((word) => word.group === 'check') ? 'check' : 'ask';
    return {
      segment: segment.id,
      kind,
      rule,
      subject: allergens.join(BETWEEN),
      words: [...new Set(words.map(({ word }) => word))],
      text: [...new Set(words.map(({ text }) => text.text))].join('\n'),
      line: words.find(({ text }) => text.line)?.text.line,
    };
  });
  return [...asked, ...thingsToLookAt(segment, things)];
}

function isQuestion({ group, rule, allergen, word, text }: PartWord, borne: ReadonlySet<string>): boolean {
  if (group === 'holds') return false;
  if (group === 'unread') return true;
  // A small thing or a cord that is named may be one that nobody under three gets, or the button of a coat.
  if (group === 'note') return !text.isTalk && !borne.has(rule) && STOPS_SOMEWHERE.has(rule);
  if (rule === 'allergens') return !isHeldByThing({ allergen, word }, borne);
  // A bath or a pool that is watched like any water: that is what the word says.
  if (rule === 'deep-water' && group === 'ask' && borne.has('water')) return false;
  return !isBorne({ rule, word }, borne) && (group === 'check' || GRAVE.has(rule));
}

function thingsToLookAt(segment: Segment, things: ThingsByKey): PartQuestion[] {
  const items = segment.needs.flatMap(({ item, swaps }) => [item, ...swaps.map((swap) => swap.item)]);
  return [...new Set(items)].flatMap((item): PartQuestion[] => {
    const thing = Object.hasOwn(things, item) ? things[item]! : undefined;
    if (!thing?.isUnchecked) return [];
    const { id } = segment;
    return [{ segment: id, kind: 'thing', rule: 'unchecked', subject: item, words: [thing.one], text: thing.one }];
  });
}

/** The decision that holds for a question: made on the same words, for rooms that are the same now. Undefined: it is open. */
export function decisionOn(question: PartQuestion, { decisions, rooms }: SessionSafety): CautionDecision | undefined {
  return decisions.findLast(
    ({ segment, rule, subject, text, youngestMonths, allergens }) =>
      segment === question.segment &&
      rule === question.rule &&
      subject === question.subject &&
      text === question.text &&
      youngestMonths === rooms.youngestMonths &&
      allergens.join('\n') === rooms.allergens.join('\n'),
  );
}

/**
 * The questions about a part that somebody answers before it goes to these homes. None where it goes to no home of them;
 * a word that means two things is asked about where it would matter.
 */
export function openQuestions(
  segment: Segment,
  things: ThingsByKey,
  { households, policy, safety }: { households: readonly Household[]; policy: CautionPolicy; safety: SessionSafety },
): PartQuestion[] {
  if (households.length === 0) return [];
  const avoided = [...new Set(households.flatMap(({ allergens }) => ownWordsOf(allergens)))];
  const { questions } = lookOver(segment, things, policy);
  return [...questions, ...talkOfAvoided(segment, things, avoided)].filter((question) => {
    if (decisionOn(question, safety)) return false;
    const { kind, rule, subject } = question;
    if (rule === 'allergens')
      return households.some(({ allergens }) =>
        subject.split(BETWEEN).some((allergen) => allergens.includes(allergen)),
      );
    if (kind !== 'ask' || GRAVE.has(rule) || !Object.hasOwn(CAUTION_RULES, rule)) return true;
    return households.some((household) => levelInRoom(rule, household, policy) === 'stop');
  });
}

/** Where a home's own words are only talked about in a part: somebody says whether the thing is really there. */
export function talkOfAvoided(segment: Segment, things: ThingsByKey, avoids: readonly string[]): PartQuestion[] {
  return ownWordsOf(avoids).flatMap((word): PartQuestion[] => {
    const texts = readPart(segment, things).texts.filter(
      ({ isTalk, isAnswer, text }) => isTalk && !isAnswer && avoidedIn(text, [word]),
    );
    if (texts.length === 0) return [];
    const text = [...new Set(texts.map((entry) => entry.text))].join('\n');
    return [
      { segment: segment.id, kind: 'ask', rule: 'allergens', subject: word, words: [word], text, line: texts[0]!.line },
    ];
  });
}
