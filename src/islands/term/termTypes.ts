import type { PlannableActivity, Term, TouchedSession } from '../../core/terms/index.ts';
import type { DueItem } from '../../core/calendar/index.ts';

interface TermShelfBook {
  readonly key: string;
  readonly title: string;
  readonly themes: readonly string[];
  readonly isBorrowed: boolean;
}

export interface TermProps {
  readonly id: string;
  readonly revision: number;
  readonly keptAt: string;
  readonly term: Term;
  readonly today: string;
  readonly weekend: readonly number[];
  readonly shelf: {
    readonly activities: readonly PlannableActivity[];
    readonly books: readonly TermShelfBook[];
    readonly songs: readonly { readonly key: string; readonly title: string; readonly themes: readonly string[] }[];
  };
  readonly earlier: readonly TouchedSession[];
  readonly due: readonly DueItem[];
  readonly mayWrite: boolean;
  readonly soundOrder: string | undefined;
}
