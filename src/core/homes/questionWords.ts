import { CAUTION_RULES, type CautionPolicy } from '../cautions/index.ts';
import { namesOf, type ThingsByKey } from '../materials/index.ts';
import { listOf, type Message, type MessageList, type MessageValue, own } from '../message.ts';
import { BETWEEN, type PartQuestion } from './partQuestions.ts';

/** What a question asks, as sentences. */
interface QuestionMessages {
  readonly title: Message;
  readonly text: Message;
  /** What the guide would say, where a caution answers it. */
  readonly caution?: Message;
}

const MOST_NAMED = 4;

/** What a question asks, in a title and a sentence or two. */
export function questionMessages(
  { kind, rule, subject, words }: Pick<PartQuestion, 'kind' | 'rule' | 'subject' | 'words'>,
  things: ThingsByKey,
): QuestionMessages {
  const isAllergen = kind === 'ask' && rule === 'allergens';
  const name = isAllergen ? 'ask-allergen' : kind;
  const values = {
    ...(kind === 'thing' && { thing: own(namesOf(subject, things).one) }),
    words: wordsMessage(words),
    about: ruleName(rule),
    ...(isAllergen && {
      allergens: listOf(subject.split(BETWEEN).map((allergen) => own(allergen.replaceAll('-', ' ')))),
    }),
  };
  return {
    title: { key: `questions/${name}.title`, values },
    text: { key: `questions/${name}.text`, values },
    ...(kind === 'check' && isUsual(rule) && { caution: { key: `cautions/${rule}.hold` } }),
  };
}

/** Words that were read, in quotation marks: the first few, each once. */
export function wordsMessage(words: readonly string[]): MessageList {
  const named = [...new Set(words)].slice(0, MOST_NAMED);
  return listOf(named.map((word) => ({ key: 'questions/quoted', values: { word: own(word) } })));
}

/** What a caution says where it stops something, by its rule or the action that calls for it: the programme's words for a rule of its own. */
export function stopMessage(rule: string, policy: CautionPolicy): Message {
  if (isUsual(rule)) return { key: `cautions/${rule}.stop` };
  const ofTheirs = policy.own.find(({ name, actions }) => name === rule || actions?.includes(rule));
  return { key: 'questions/own', values: { words: own(ofTheirs?.words ?? rule) } };
}

function ruleName(rule: string): MessageValue {
  return isUsual(rule) ? { key: `cautionNames/${rule}` } : own(rule);
}

function isUsual(rule: string): boolean {
  return Object.hasOwn(CAUTION_RULES, rule);
}
