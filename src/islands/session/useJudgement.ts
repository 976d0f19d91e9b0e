import { useEffect, useRef, useState } from 'react';
import type { JudgedAgainst, SessionJudgement } from '../../core/checks/index.ts';
import type { Session } from '../../core/session/index.ts';
import { askServer } from '../ui/askServer.ts';
import type { JudgeAnswer, JudgeQuestion } from '../../workers/judge.ts';

interface Judged {
  readonly session: Session;
  readonly judgement: SessionJudgement;
}

interface JudgedBy {
  readonly against: JudgedAgainst;
  readonly first: SessionJudgement;
  /** Where a server judges it, when the page is not given all homes. */
  readonly elsewhere?: string | undefined;
}

/** A server that did not judge is asked again after so long. */
const MS_UNTIL_ASKED_AGAIN = 3000;

/**
 * What the checks say of the session as it stands, from a worker: the page never waits for it. Meanwhile what was said before
 * still stands, and `isJudged` is false. While one session is judged only the newest of those that follow waits.
 */
export function useJudgement(session: Session, { against, first, elsewhere }: JudgedBy) {
  const [judged, setJudged] = useState<Judged>({ session, judgement: first });
  const [attempt, setAttempt] = useState(0);
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const newest = useRef(session);
  const underWay = useRef<Session | null>(null);
  // A worker judges by what it was started with: a thing that is put on the shelf meanwhile needs another.
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
      underWay.current = null;
    },
    [against],
  );
  useEffect(() => {
    newest.current = session;
    if (judged.session === session || underWay.current) return;
    if (elsewhere) {
      underWay.current = session;
      void askServer<SessionJudgement>(elsewhere, { json: { session } }).then((asked) => {
        underWay.current = null;
        if (asked.ok) setJudged(({ judgement }) => ({ session, judgement: withFormer(asked.answer, judgement) }));
        // Nobody answered: what was said before still stands, as that of another session, and it is asked again.
        else setTimeout(() => setAttempt((attempts) => attempts + 1), MS_UNTIL_ASKED_AGAIN);
      });
      return;
    }
    const judgeHere = () => {
      worker.current?.terminate();
      worker.current = null;
      underWay.current = null;
      const here = newest.current;
      void import('./judgeHere.ts').then(({ judgeSession }) =>
        setJudged({ session: here, judgement: judgeSession(here, against) }),
      );
    };
    try {
      worker.current ??= startWorker(against);
    } catch {
      return judgeHere();
    }
    asked.current += 1;
    underWay.current = session;
    worker.current.onmessage = ({ data }: MessageEvent<JudgeAnswer>) => {
      if (data.asked !== asked.current) return;
      underWay.current = null;
      setJudged(({ judgement }) => ({ session, judgement: withFormer(data.judgement, judgement) }));
    };
    worker.current.onerror = judgeHere;
    tell(worker.current, { asked: asked.current, session });
  }, [session, judged, against, elsewhere, attempt]);
  return { judgement: judged.judgement, isJudged: judged.session === session };
}

/** What was found again is the same value as before, so that what shows it need not be drawn anew. */
function withFormer(judgement: SessionJudgement, { findings: former }: SessionJudgement): SessionJudgement {
  const known = new Map(former.map((finding) => [JSON.stringify(finding), finding]));
  return { ...judgement, findings: judgement.findings.map((finding) => known.get(JSON.stringify(finding)) ?? finding) };
}

function startWorker(against: JudgedAgainst): Worker {
  const worker = new Worker(new URL('../../workers/judge.ts', import.meta.url), { type: 'module' });
  tell(worker, { against });
  return worker;
}

function tell(worker: Worker, question: JudgeQuestion): void {
  worker.postMessage(question);
}
