import type { Finding } from '../core/checks/index.ts';
import type { WordFinding } from '../core/words/index.ts';
import { capital, findMessage, sayMessage } from './screenWords.ts';

export interface FindingWords {
  readonly title: string;
  readonly text: string;
  /** What pressing the remedy does; null where there is none. */
  readonly remedy: string | null;
}

/** A finding as a sentence or two, with the words of its remedy. */
export function describeFinding({ code, values }: Pick<Finding, 'code' | 'values'>): FindingWords {
  return {
    title: capital(sayMessage({ key: `findings/${code}.title`, values })),
    text: capital(sayMessage({ key: `findings/${code}.text`, values })),
    remedy: findMessage({ key: `findings/${code}.remedy`, values }),
  };
}

/** What was found about the words of a line, a sentence, and what taking another word says. */
export function describeWordFinding({ code, values, instead }: WordFinding): Omit<FindingWords, 'title'> {
  return {
    text: sayMessage({ key: `findings/${code}.text`, values }),
    remedy: instead === null ? null : sayMessage({ key: 'findings/instead', values: { instead } }),
  };
}
