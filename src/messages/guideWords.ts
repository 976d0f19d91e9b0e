import type { CautionLevel } from '../core/cautions/index.ts';
import { GUIDE_LANGUAGES, type GuideLanguage } from '../core/languages.ts';
import { listOf, type MessageList } from '../core/message.ts';
import { cautionText } from './cautionWords.ts';
import { dayInWords } from './dates.ts';
import { guideSpeech } from './guideLanguages.ts';
import type { GuideCatalogue } from './languages/en.ts';

/** The name of a sentence of guides. */
type GuideMessage = keyof GuideCatalogue;

/** What the sentences speak of that speak of something; the others take nothing. */
interface GuideValues {
  letterSubject: { title: string };
  letter: { home: string; title: string; on: string; programme: string; link: string };
  letterAgainSubject: { title: string };
  letterAgain: { home: string; title: string; on: string; programme: string; link: string; changes: MessageList };
  'changes.part-new': { title: string };
  'changes.part-gone': { title: string };
  'changes.part-changed': { title: string };
  keptIntro: { programme: string };
  keptWho: { programme: string };
  keptFor: { months: number };
  forgetNoAddress: { programme: string };
  forgetSubject: { programme: string };
  forgetLetter: { home: string; programme: string; link: string };
  forChildren: { names: MessageList };
  changedOn: { day: string };
  aboutMinutes: { minutes: number };
  betweenMinutes: { low: number; high: number };
  setupMinutes: { minutes: number };
  /** Behind the line after which something dries, rises or freezes. */
  leaveIt: { minutes: number };
  insteadOf: { things: string };
  /** What to do without a thing that nobody gives out; `elseDo` names what would do, `choices` how many they are. */
  withoutIt: { name: string; choices: number; elseDo: MessageList };
  fromKit: { programme: string };
  /** Where only `some` of them come in the bag. */
  someFromKit: { programme: string; some: number };
  daysBefore: { days: number };
  step: { step: number; steps: number };
  hearSound: { letters: string };
  /** What the fetch list grows by at another level. */
  moreFor: { level: string; title: string; things: string };
  theBook: { title: string };
  noBookAnother: { title: string };
  saidHaveNot: { things: string };
  haveAfterAll: { things: string };
  haveNotNoted: { things: string };
  waitsFor: { things: MessageList };
  theSong: { title: string };
  minutesTaken: { title: string };
  howWasIt: { title: string };
}

type ValuesOf<Name extends GuideMessage> = Name extends keyof GuideValues ? [values: GuideValues[Name]] : [];

/** Every word of a guide that is not the author's, in one language. */
export interface GuideWords {
  readonly language: GuideLanguage;
  readonly direction: 'ltr' | 'rtl';
  readonly say: <Name extends GuideMessage>(name: Name, ...values: ValuesOf<Name>) => string;
  /** A day in words, from YYYY-MM-DD. */
  readonly date: (day: string) => string;
  /** What a caution says, at its level; a programme's own rule says what it says, in the programme's words. */
  readonly caution: (rule: string, level: CautionLevel, own?: string) => string;
}

/** The words of guides in a language. */
export function guideWords(language: GuideLanguage): GuideWords {
  const speech = guideSpeech(language);
  const { direction, locale } = GUIDE_LANGUAGES[language];
  return {
    language,
    direction,
    say: (name, ...[values]) => speech.say(`guide/${name}`, { ...values }),
    date: (day) => dayInWords(day, locale),
    caution: (rule, level, own) => own ?? cautionText(language, rule, level),
  };
}

/** What to do without a thing that nobody gives out; `elseDo` names what would do, or nothing. */
export function withoutThing(words: GuideWords, { name, elseDo }: { name: string; elseDo: readonly string[] }): string {
  return words.say('withoutIt', { name, choices: elseDo.length, elseDo: listOf(elseDo, 'or') });
}

/** That a thing comes in a bag; `some`: how many of them do, where it is not all. */
export function inBag(words: GuideWords, programme: string, some?: number): string {
  return some === undefined ? words.say('fromKit', { programme }) : words.say('someFromKit', { programme, some });
}
