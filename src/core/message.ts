/**
 * What is to be said: the name of a sentence and what it speaks of. The core names sentences, `messages/` says them in
 * a language. Everything in one is plain data, so that it can be stored and said again in another language.
 */
export interface Message {
  /** The name of the sentence: its catalogue and its name there, such as `balance/ask-1`. */
  readonly key: string;
  readonly values?: MessageValues | undefined;
}

/** What a sentence speaks of, by the names its catalogue uses. */
export type MessageValues = Readonly<Record<string, MessageValue>>;

/** A number is counted or written by the sentence; a string is a choice or a sign; the others are said first. */
export type MessageValue = number | string | OwnWords | Message | MessageList | MoneyAmount | WrittenSum | ShortDay;

/** Words of an author, in the author's language whatever the sentence around them is in. */
interface OwnWords {
  readonly own: string;
}

/** Several values in a row, joined the way the language does it. None gives nothing. */
export interface MessageList {
  readonly items: readonly MessageValue[];
  readonly join: 'and' | 'comma' | 'or' | 'plus' | 'semicolon' | 'sentences' | 'then';
}

/** An amount of money in the smallest unit of its currency. */
export interface MoneyAmount {
  readonly minor: number;
  /** One of the currencies of `numbers/currencies`. */
  readonly currency: string;
  /** Written in the large unit with two decimals. */
  readonly asMajor: boolean;
}

/** A sum over dials, such as `boxes*wheels`, to be written as one writes it by hand. */
interface WrittenSum {
  readonly sum: string;
}

/** A day as `YYYY-MM-DD`, to be written shortly: its number and its month. */
interface ShortDay {
  readonly day: string;
}

/** Says one sentence. A key that no catalogue has, or a value it needs and lacks, is a fault of ours and throws. */
export type Say = (key: string, values?: MessageValues) => string;

/** The sentences of one language. */
export interface Speech {
  /** BCP 47, such as `en`. */
  readonly language: string;
  readonly say: Say;
  /** The sentence, or null where this language lacks it or its values do not fit. */
  readonly find: (key: string, values?: MessageValues) => string | null;
}

/** Sentences of one language by catalogue and name, in ICU MessageFormat. */
export type Catalogues = Readonly<Record<string, Readonly<Record<string, string>>>>;

/** Values in a row. */
export function listOf(items: readonly MessageValue[], join: MessageList['join'] = 'and'): MessageList {
  return { items, join };
}

/** Words of an author, as a value. */
export function own(text: string): OwnWords {
  return { own: text };
}

/** What cannot be done, or what is wrong: a code, and in its other fields what it speaks of. A problem may hold another. */
export interface Problem {
  readonly code: string;
}

/** Problems whose sentence has a plain form, for where what it would name is not there. */
const WITH_PLAIN_FORM: ReadonlySet<string> = new Set(['unreadable', 'unknown-name', 'expression', 'template']);

/**
 * A problem as the sentence of its code, `problems/<code>`, with its fields as values: lists stand with commas, a problem inside
 * is said first. Where a field is empty and the sentence has a plain form, it is `problems/<code>.plain`.
 * @example problemMessage({ code: 'negative', at: 'n-5', value: -2 }) // { key: 'problems/negative', values: { at: 'n-5', value: -2 } }
 */
export function problemMessage(problem: Problem): Message {
  const fields = Object.entries(problem).filter(([name, value]) => name !== 'code' && value !== undefined);
  const lacksName = fields.some(([, value]) => value === '' || (Array.isArray(value) && value.length === 0));
  const key = `problems/${problem.code}${lacksName && WITH_PLAIN_FORM.has(problem.code) ? '.plain' : ''}`;
  return { key, values: Object.fromEntries(fields.map(([name, value]) => [name, valueOfField(value)])) };
}

function valueOfField(value: unknown): MessageValue {
  if (typeof value === 'number') return value;
  if (Array.isArray(value))
    return listOf(
      value.map((item) => own(String(item))),
      'comma',
    );
  return isProblem(value) ? problemMessage(value) : own(String(value));
}

function isProblem(value: unknown): value is Problem {
  return typeof value === 'object' && value !== null && 'code' in value;
}
