import { useMemo, useState } from 'react';
import { composeSession } from '../../core/guide/index.ts';
import {
  applyChanges,
  applyEdit,
  changesBetween,
  type Edit,
  type Segment,
  type Session,
} from '../../core/session/index.ts';
import { err } from '../../core/outcome.ts';
import { describeEditProblem } from '../../messages/edits.ts';
import { useHistory } from '../autosave/useHistory.ts';
import { useJudgement } from './useJudgement.ts';
import { makeWriters } from './script/writers.ts';
import { useSharing } from './useSharing.ts';
import { useMakerParts } from './useMakerParts.ts';
import type { BenchProps } from '../../contracts/bench.ts';

/** Dials of makers' parts are there only once the makers are; this is for what comes sooner. */
const notLoaded = ({ made }: Segment) => err({ code: 'not-loaded' as const, maker: made!.maker });

/** The session on the bench, what follows from it, and what can be done to it; every edit can be undone. */
export function useBench({ session: initial, judgement: first, ...props }: BenchProps) {
  const { id } = props;
  const { things, homes, policy, decisions, seatedMinutesPerYear, assumeCommon } = props;
  const [hadMade, setHadMade] = useState(() => holdsMade(initial));
  const makerParts = useMakerParts(hadMade);
  const { value: session, ...history } = useHistory(initial, {
    apply: (before: Session, edit: Edit) => applyEdit(before, edit, makerParts?.regenerate ?? notLoaded),
    describe: (problem) => describeEditProblem(problem, makerParts?.describeMakerProblem),
    deltas: { between: changesBetween, apply: applyChanges, keptAs: `undo of ${props.id} by ${props.person}` },
  });
  if (!hadMade && holdsMade(session)) setHadMade(true);
  const composed = useMemo(
    () => composeSession(session, things, { seatedMinutesPerYear, youngestMonths: session.ages.fromMonths }),
    [session, things, seatedMinutesPerYear],
  );
  // The same as long as nothing changes, so that nothing is judged twice.
  const against = useMemo(
    () => ({ things, homes, policy, decisions, seatedMinutesPerYear, assumeCommon }),
    [things, homes, policy, decisions, seatedMinutesPerYear, assumeCommon],
  );
  const { judgement, isJudged } = useJudgement(session, {
    against,
    first,
    elsewhere: props.isJudgedElsewhere ? `/api/sessions/${props.id}/judgement` : undefined,
  });
  // Whatever is done to the session is done to what stands in it, with the words that were written last.
  const [writers] = useState(makeWriters);
  const { edit, undo, redo } = history;
  const steps = useMemo(() => {
    const afterWords =
      <Given extends unknown[]>(step: (...given: Given) => void) =>
      (...given: Given) => {
        writers.flush();
        step(...given);
      };
    return { edit: afterWords(edit), undo: afterWords(undo), redo: afterWords(redo) };
  }, [writers, edit, undo, redo]);
  const shared = useSharing(id, { ...props, writers, follow: history.follow });
  return {
    ...history,
    ...steps,
    ...shared,
    /** Takes up what was written, without asking others what they write. */
    write: edit,
    writers,
    hasMakers: makerParts !== null,
    soundsSaid: makerParts?.soundsSaid,
    session,
    composed,
    judgement,
    isJudged,
  };
}

const holdsMade = ({ segments }: Session) => segments.some(({ made }) => made !== undefined);
