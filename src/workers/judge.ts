import { type JudgedAgainst, judgeSession, type SessionJudgement } from '../core/checks/index.ts';
import { knownWords } from '../core/makers/index.ts';
import type { Session } from '../core/session/index.ts';

/** What a session is judged against is told first, and once; then each session by the number of its question. */
export type JudgeQuestion = { readonly against: JudgedAgainst } | { readonly asked: number; readonly session: Session };

export interface JudgeAnswer {
  readonly asked: number;
  readonly judgement: SessionJudgement;
}

let against: JudgedAgainst | null = null;

/** The words of the language are held here, and are not handed over. */
const withWords = (given: JudgedAgainst): JudgedAgainst => ({
  ...given,
  around: { ...given.around, ...knownWords(given.around ?? {}) },
});

/** Judges a session away from the screen, however many homes it goes to. */
self.onmessage = ({ data }: MessageEvent<JudgeQuestion>) => {
  if ('against' in data) against = withWords(data.against);
  else {
    const answer: JudgeAnswer = { asked: data.asked, judgement: judgeSession(data.session, against!) };
    self.postMessage(answer);
  }
};
