import { IntlMessageFormat } from 'intl-messageformat';
import type { Catalogues, MessageList, MessageValue, MessageValues, MoneyAmount, Speech } from '../core/message.ts';
import { CURRENCIES, type CurrencyName } from '../core/numbers/index.ts';
import { shortDay } from './dates.ts';
import { formatSum } from './sums.ts';

/** Spoken names of whole numbers: `{n, number, words}` and `{n, number, ordinal}`. */
export interface NumberNames {
  readonly cardinal: (value: number) => string;
  readonly ordinal: (value: number) => string;
}

export interface SpeechOptions {
  /** BCP 47, with the region whose lists and numbers are meant. */
  readonly locale: string;
  readonly catalogues: Catalogues;
  readonly numberNames: NumberNames;
  /** Puts what is not of this language between isolates (U+2068, U+2069), so that it is marked and read in its own direction. */
  readonly isolates?: boolean;
}

const NAMES = { words: { notation: 'words' }, ordinal: { notation: 'ordinal' } };

/** Says sentences of a language; each is parsed when it is said first. */
export function createSpeech({ locale, catalogues, numberNames, isolates = false }: SpeechOptions): Speech {
  const parsed = new Map<string, IntlMessageFormat>();
  const formatters = formattersOf(locale, numberNames);
  const sentence = (key: string): IntlMessageFormat | null => {
    const known = parsed.get(key);
    if (known) return known;
    const [catalogue = '', name = ''] = splitKey(key);
    const sentences = Object.hasOwn(catalogues, catalogue) ? catalogues[catalogue]! : {};
    if (!Object.hasOwn(sentences, name)) return null;
    const made = new IntlMessageFormat(sentences[name]!, locale, { number: NAMES } as never, {
      ignoreTag: true,
      formatters: formatters as never,
    });
    parsed.set(key, made);
    return made;
  };
  const listed = memoised(
    (type: 'conjunction' | 'disjunction') => new Intl.ListFormat(locale, { type, style: 'long' }),
  );
  const valueOf = (value: MessageValue): string | number => {
    if (typeof value === 'number') return value;
    if (typeof value === 'string') return value;
    if ('own' in value) return isolates ? `\u2068${value.own}\u2069` : value.own;
    if ('items' in value) return joined(value);
    if ('sum' in value) return formatSum(value.sum);
    if ('day' in value) return shortDay(value.day, locale);
    return 'minor' in value ? money(value) : say(value.key, value.values);
  };
  const money = (amount: MoneyAmount): string =>
    amount.currency === 'tokens' ? say('makers/tokens', { count: amount.minor }) : moneyText(amount);
  const joined = ({ items, join }: MessageList): string => {
    const texts = items.map((item) => String(valueOf(item)));
    if (join === 'and' || join === 'or') return listed(join === 'and' ? 'conjunction' : 'disjunction').format(texts);
    return texts.join(join === 'then' ? say('makers/join.then') : SEPARATORS[join]);
  };
  const say = (key: string, values: MessageValues = {}): string => {
    const found = sentence(key);
    if (!found) throw new Error(`no sentence “${key}” in ${locale}`);
    const given = Object.fromEntries(Object.entries(values).map(([name, value]) => [name, valueOf(value)]));
    return String(found.format(given));
  };
  const find = (key: string, values?: MessageValues): string | null => {
    try {
      return sentence(key) ? say(key, values) : null;
    } catch {
      return null;
    }
  };
  return { language: locale.slice(0, 2), say, find };
}

/** Numbers, days and plurals of a language. */
function formattersOf(locale: string, numberNames: NumberNames) {
  const pluralRules = memoised((type: 'cardinal' | 'ordinal') => new Intl.PluralRules(locale, { type }));
  const plainNumber = new Intl.NumberFormat(locale);
  return {
    getNumberFormat: (locales?: string | string[], options?: Intl.NumberFormatOptions) => {
      const notation = options?.notation as string | undefined;
      if (notation === 'words') return { format: numberNames.cardinal };
      if (notation === 'ordinal') return { format: numberNames.ordinal };
      return options && Object.keys(options).length > 0 ? new Intl.NumberFormat(locales, options) : plainNumber;
    },
    getDateTimeFormat: (...args: ConstructorParameters<typeof Intl.DateTimeFormat>) => new Intl.DateTimeFormat(...args),
    getPluralRules: (_: unknown, { type = 'cardinal' }: Intl.PluralRulesOptions = {}) => pluralRules(type),
  };
}

const SEPARATORS = { comma: ', ', plus: ' + ', semicolon: '; ', sentences: ' ' } as const;

function splitKey(key: string): [string, string] {
  const at = key.indexOf('/');
  return [key.slice(0, at), key.slice(at + 1)];
}

function memoised<Key extends string, Made>(make: (key: Key) => Made): (key: Key) => Made {
  const made = new Map<Key, Made>();
  return (key) => {
    const known = made.get(key);
    if (known) return known;
    const fresh = make(key);
    made.set(key, fresh);
    return fresh;
  };
}

/** An amount of money as it is written on a price card: 35p, £1.20. */
function moneyText({ minor, currency, asMajor }: MoneyAmount): string {
  const { minor: unit, major, perMajor } = CURRENCIES[currency as CurrencyName];
  return asMajor ? `${major}${(minor / perMajor).toFixed(2)}` : `${minor}${unit}`;
}
