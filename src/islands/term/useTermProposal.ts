import { useRef } from 'react';
import { changedSince, pinConflicts, proposalInput, slotsAhead } from '../../core/terms/index.ts';
import { sayScreen } from '../../messages/screenWords.ts';
import { describePinConflict } from '../../messages/term.ts';
import type { TermProps } from './termTypes.ts';
import { useProposal } from './useProposal.ts';
import type { useTerm } from './useTerm.ts';

/** Proposes what the open weeks of a term hold. What the author changes while a plan is made stays as it is then. */
export function useTermProposal(
  { term, rows, edit }: Pick<ReturnType<typeof useTerm>, 'term' | 'rows' | 'edit'>,
  { shelf, today, names }: Pick<TermProps, 'shelf' | 'today'> & { readonly names: Readonly<Record<string, string>> },
) {
  const newest = useRef({ term, rows });
  newest.current = { term, rows };
  const asked = useRef(term);
  const { start, fail, ...proposed } = useProposal((slots) => {
    const changed = changedSince(asked.current, newest.current.term);
    const ahead = slotsAhead(slots, { rows: newest.current.rows, today });
    const kept = ahead.filter(({ id }) => changed.has(id)).length;
    edit({ do: 'take-plan', slots: ahead.filter(({ id }) => !changed.has(id)) });
    return kept > 0 ? sayScreen('count.changed-meanwhile', { count: kept }) : '';
  });
  const titleOf = (key: string) => shelf.activities.find((activity) => activity.id === key)?.title ?? key;
  const propose = () => {
    const input = proposalInput(term, { rows, activities: shelf.activities, today });
    const [conflict] = pinConflicts(input);
    if (conflict)
      return fail(describePinConflict(conflict.rule, titleOf(conflict.activity), names[conflict.session] ?? ''));
    asked.current = term;
    start(input);
  };
  return { ...proposed, propose };
}
