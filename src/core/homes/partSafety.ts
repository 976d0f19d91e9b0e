import { avoidedIn, CAUTION_RULES, levelInRoom } from '../cautions/index.ts';
import type { ThingsByKey } from '../materials/index.ts';
import type { PartText, Segment } from '../session/index.ts';
import { isPermitted, type Household } from './household.ts';
import {
  BETWEEN,
  decisionOn,
  isBorne,
  isHeldByThing,
  lookOver,
  NOTHING_DECIDED,
  talkOfAvoided,
  type Decided,
  type PartQuestion,
  type SessionSafety,
} from './partQuestions.ts';
import { readPart, type PartWord, type ReadPart } from './partWords.ts';

/** What a part comes to at one home by its words and what was decided about them. */
export interface SafetyAtHome {
  /** Cautions that its guide says beside those of its things and actions. */
  readonly said: readonly string[];
  /** Rules that stop it there, `allergens` among them; empty where it can be done. */
  readonly stops: readonly string[];
  /** The words that stop it. */
  readonly words: readonly string[];
}

/**
 * What the words of a part come to at one home. A word counts like a trait or an action: what is stopped at an age in the
 * room, or holds what the home must not have, leaves the part out, and nobody decides that away.
 */
export function safetyAt(
  segment: Segment,
  things: ThingsByKey,
  { household, safety = NOTHING_DECIDED }: { household: Household; safety?: SessionSafety | undefined },
): SafetyAtHome {
  const { policy } = household;
  const { borne, questions } = lookOver(segment, things, policy);
  const read = toldAt(household, readPart(segment, things), { segment, things });
  const answers = [...questions, ...talkOfAvoided(segment, things, household.allergens)].flatMap((question) => {
    const decision = decisionOn(question, safety);
    return decision ? [{ question, decided: decision.decided }] : [];
  });
  const answered = (as: Decided) => answers.filter(({ decided }) => decided === as).map(({ question }) => question);
  const [real, leftOut] = [answered('real'), answered('left-out')];
  const known = { borne, real, fine: answered('fine') };
  const stopping = stoppedRules(read, household, known);
  const holding = [...heldAllergens(read, household, known), ...namedThere(read, household, known)];
  const said = [
    ...read.words.filter(({ group, rule }) => group === 'note' && !borne.has(rule)).map(({ rule }) => rule),
    ...[...answered('caution'), ...real].map(({ rule }) => rule),
  ];
  const stops = [
    ...stopping.map(({ rule }) => rule),
    ...(holding.length > 0 ? ['allergens'] : []),
    ...leftOut.map(({ rule }) => rule),
  ];
  const words = [...stopping.map(({ word }) => word), ...holding, ...leftOut.flatMap((question) => question.words)];
  return {
    said: [...new Set(said)].filter((rule) => Object.hasOwn(CAUTION_RULES, rule)),
    stops: [...new Set(stops)],
    words: [...new Set(words)],
  };
}

/** What of a part is told at a home: what is only for a thing that it may not use is not. */
function toldAt(
  household: Household,
  { texts, words }: ReadPart,
  { segment, things }: { segment: Segment; things: ThingsByKey },
): ReadPart {
  const isTold = ({ onlyWith }: PartText) => {
    const need = onlyWith && segment.needs.find(({ id }) => id === onlyWith.need);
    return !need || isPermitted(onlyWith.item, need, things, household);
  };
  return { texts: texts.filter(isTold), words: words.filter(({ text }) => isTold(text)) };
}

/** What a part bears by itself, and what somebody said its words mean. */
interface Known {
  readonly borne: ReadonlySet<string>;
  readonly real: readonly PartQuestion[];
  readonly fine: readonly PartQuestion[];
}

function isFine({ rule, word, allergen }: PartWord, { fine }: Known): boolean {
  return fine.some(
    (question) =>
      question.rule === rule &&
      question.words.includes(word) &&
      (allergen === undefined || question.subject.split(BETWEEN).includes(allergen)),
  );
}

/** Rules that are a stop in this room, with their words. What is not decided counts as real: a part is rather left out than sent unseen. */
function stoppedRules({ words }: ReadPart, household: Household, known: Known): { rule: string; word: string }[] {
  const calling = words.filter(
    (word) =>
      !isBorne(word, known.borne) &&
      (word.group === 'check' || (word.group === 'note' && !word.text.isTalk && !isFine(word, known))),
  );
  const real = known.real.map(({ rule, words: [word = ''] }) => ({ rule, word }));
  return [...calling, ...real].filter(
    ({ rule }) => Object.hasOwn(CAUTION_RULES, rule) && levelInRoom(rule, household, household.policy) === 'stop',
  );
}

/** Words that hold what the home must not have. */
function heldAllergens({ words }: ReadPart, { allergens }: Household, known: Known): string[] {
  const holding = words
    .filter((word) => word.allergen && (word.group === 'holds' || (word.group === 'ask' && !isFine(word, known))))
    .map(({ allergen = '', word }) => ({ allergen, word }));
  const real = known.real.flatMap(({ subject, words: [word = ''] }) =>
    subject.split(BETWEEN).map((allergen) => ({ allergen, word })),
  );
  return [...holding, ...real]
    .filter(({ allergen, word }) => allergens.includes(allergen) && !isHeldByThing({ allergen, word }, known.borne))
    .map(({ word }) => word);
}

/** The home's own words that the part names, unless somebody said that they are only talked about. */
function namedThere({ texts }: ReadPart, { allergens }: Household, { fine }: Known): string[] {
  return texts
    .filter(({ isAnswer }) => !isAnswer)
    .flatMap(({ text, isTalk }) => {
      const word = avoidedIn(text, allergens);
      const isOnlySaid =
        isTalk && fine.some((question) => question.subject === word && question.text.split('\n').includes(text));
      return word === undefined || isOnlySaid ? [] : [word];
    });
}
