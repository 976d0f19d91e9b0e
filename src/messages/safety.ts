import { type Decided, type PartQuestion, questionMessages, wordsMessage } from '../core/homes/index.ts';
import type { ThingsByKey } from '../core/materials/index.ts';
import { sayMessage, sayScreen } from './screenWords.ts';

/** A question about a part, before it goes anywhere: what caught our eye, and what it may mean. */
export interface QuestionWords {
  readonly title: string;
  readonly text: string;
  /** What the guide would say, where a caution answers it. */
  readonly caution?: string | undefined;
}

/** What a question asks, in a title and a sentence or two. */
export function describeQuestion(
  question: Pick<PartQuestion, 'kind' | 'rule' | 'subject' | 'words'>,
  things: ThingsByKey,
): QuestionWords {
  const { title, text, caution } = questionMessages(question, things);
  return { title: sayMessage(title), text: sayMessage(text), caution: caution && sayMessage(caution) };
}

/** How a question is answered, on a button. */
export const ANSWER_WORDS: Readonly<Record<PartQuestion['kind'], Readonly<Partial<Record<Decided, string>>>>> = {
  check: { fine: 'It’s fine', caution: 'Say a caution in the guide', 'left-out': 'Leave this part out' },
  ask: { fine: 'It’s only played or said', real: 'It’s real' },
  unread: { fine: 'I’ve read it, it’s fine', 'left-out': 'Leave this part out' },
  thing: { fine: 'I’ve looked, it’s right' },
};

const DECIDED_WORDS: Readonly<Record<string, string>> = {
  fine: 'fine',
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
  const outcome = DECIDED_WORDS[decided] ?? decided;
  const said =
    named.length > 0
      ? sayScreen('decided.words', { words: wordsMessage(named), part, decided: outcome })
      : sayScreen('decided.part', { part, decided: outcome });
  return why ? sayScreen('decided.why', { said, why }) : said;
}
