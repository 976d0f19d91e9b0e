import { namesOf, type ThingsByKey } from '../core/materials/index.ts';
import type { Decided, PartQuestion } from '../core/homes/index.ts';
import { allergenWord } from './allergens.ts';
import { cautionText } from './cautionWords.ts';
import { RULE_NAMES } from './cautions.ts';

/** A question about a part, before it goes anywhere: what caught our eye, and what it may mean. */
export interface QuestionWords {
  readonly title: string;
  readonly text: string;
  /** What the guide would say, where a caution answers it. */
  readonly caution?: string | undefined;
}

const LIST = new Intl.ListFormat('en-GB');
const MOST_NAMED = 4;

const quoted = (words: readonly string[]) => LIST.format(words.slice(0, MOST_NAMED).map((word) => `“${word}”`));

/** What a question asks, in a title and a sentence or two. */
export function describeQuestion(
  { kind, rule, subject, words }: Pick<PartQuestion, 'kind' | 'rule' | 'subject' | 'words'>,
  things: ThingsByKey,
): QuestionWords {
  const about = (RULE_NAMES[rule] ?? rule).toLowerCase();
  switch (kind) {
    case 'thing': {
      const { one } = namesOf(subject, things);
      return {
        title: `Not checked yet: ${one}`,
        text: `Nobody has said what ${one} is like or what it may hold. We went by its name. Have a look at its ticks.`,
      };
    }
    case 'unread':
      return {
        title: 'We can’t read this language',
        text: 'We only look for dangers in English. Read it through yourself before it goes out.',
      };
    case 'check':
      return {
        title: `${quoted(words)}: have a look`,
        text: `It may be about ${about}.`,
        caution: cautionText('en', rule, 'hold'),
      };
    case 'ask':
      return rule === 'allergens'
        ? {
            title: `Is ${quoted(words)} really there?`,
            text: `If it is, homes that mustn’t have ${LIST.format(subject.split('|').map(allergenWord))} go without this part.`,
          }
        : {
            title: `What does ${quoted(words)} mean here?`,
            text: `If it’s real, it’s about ${about}. If it’s only played or talked about, say so.`,
          };
  }
}

/** How a question is answered, on a button. */
export const ANSWER_WORDS: Readonly<Record<PartQuestion['kind'], Readonly<Partial<Record<Decided, string>>>>> = {
  check: { fine: 'It’s fine as it is', caution: 'Say a caution in the guide', 'left-out': 'Leave this part out' },
  ask: { fine: 'It’s only played or said', real: 'It’s real' },
  unread: { fine: 'I’ve read it, it’s fine', 'left-out': 'Leave this part out' },
  thing: { fine: 'I’ve looked, it’s right' },
};

const DECIDED_WORDS: Readonly<Record<string, string>> = {
  fine: 'fine as it is',
  caution: 'the guide says a caution',
  'left-out': 'the part is left out',
  real: 'it’s real',
};

/** What was decided, as one says it afterwards: “kettle” in “Tea for the carrier”: the guide says a caution. */
export function describeDecision({
  part,
  words,
  decided,
  why,
}: {
  readonly part: string;
  readonly words: readonly string[];
  readonly decided: string;
  readonly why: string;
}): string {
  const named = words.filter(Boolean);
  const what = named.length > 0 ? `${quoted(named)} in “${part}”` : `“${part}”`;
  return `${what}: ${DECIDED_WORDS[decided] ?? decided}${why ? ` (${why})` : ''}`;
}
