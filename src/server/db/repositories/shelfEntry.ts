import type { ActivityBody, Segment } from '../../../core/session/index.ts';

export type ShelfKind = 'book' | 'song' | 'activity' | 'thing';

/** An activity as the shelf keeps it. */
export interface ActivityEntry extends ActivityBody {
  readonly key: string;
  readonly title: string;
  readonly themes: readonly string[];
  readonly ages: { readonly fromMonths: number; readonly toMonths: number };
  readonly mess: number;
  readonly noise: number;
  readonly idea: string;
  readonly effort?: number | undefined;
  readonly seasons?: readonly string[] | undefined;
  readonly keeps?: string | undefined;
  readonly after?: readonly string[] | undefined;
  readonly made?: Segment['made'];
}
