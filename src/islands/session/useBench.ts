import { useMemo } from 'react';
import { findFindings } from '../../core/checks/findings.ts';
import { fitHomes } from '../../core/homes/sessionReadiness.ts';
import { composeSession } from '../../core/guide/composition.ts';
import { applyEdit, type Edit } from '../../core/session/edit.ts';
import type { Session } from '../../core/session/session.ts';
import { regenerateIn } from '../../core/makers/makerSegment.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { describeEditProblem } from '../../messages/edits.ts';
import { useHistory } from '../autosave/useHistory.ts';
import type { BenchProps } from '../../contracts/bench.ts';

const regenerate = regenerateIn(authorSpeech);
const editSession = (session: Session, edit: Edit) => applyEdit(session, edit, regenerate);

/** The session on the bench, what follows from it, and what can be done to it; every edit can be undone. */
export function useBench({ session: initial, things, homes, policy, seatedMinutesPerYear }: BenchProps) {
  const { value: session, ...history } = useHistory(initial, editSession, describeEditProblem);
  const composed = useMemo(
    () => composeSession(session, things, { seatedMinutesPerYear, youngestMonths: session.ages.fromMonths }),
    [session, things, seatedMinutesPerYear],
  );
  const { fits, readiness } = useMemo(
    () => fitHomes(session, homes, { things, policy }),
    [session, homes, things, policy],
  );
  const findings = useMemo(
    () => findFindings(session, composed, fits, { things, policy }),
    [session, composed, fits, things, policy],
  );
  return { ...history, session, composed, fits, readiness, findings };
}
