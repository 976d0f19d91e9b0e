import type { GuideLanguage } from '../languages.ts';

/** A child as a table has it; what no column says is absent. */
export interface TableChild {
  readonly nickname: string;
  readonly birthMonth: string;
  readonly loves?: string | undefined;
  readonly mouthing?: boolean | undefined;
  readonly leftHanded?: boolean | undefined;
  readonly needs?: string | undefined;
}

/** A home as a table has it; what no column says is absent, and stays as it is in a home that is there already. */
export interface TableFamily {
  readonly nickname: string;
  readonly children: readonly TableChild[];
  readonly language?: GuideLanguage | undefined;
  readonly contact?: string | undefined;
  readonly allergens?: readonly string[] | undefined;
  readonly alsoAvoids?: readonly string[] | undefined;
  readonly things?: readonly { readonly item: string; readonly qty: number }[] | undefined;
  readonly hasNot?: readonly string[] | undefined;
}

/** What is said of a cell. `wrong` keeps its home from being taken in; `guess` and `dropped` only say what was done. */
export type CellNote = { readonly row: number; readonly column: number } & (
  | {
      readonly kind: 'wrong';
      readonly code:
        | 'born-unread'
        | 'not-born-yet'
        | 'not-a-child'
        | 'no-birth'
        | 'no-child'
        | 'contact-unread'
        | 'no-name'
        | 'too-long'
        | 'too-many';
    }
  | { readonly kind: 'wrong'; readonly code: 'thing-unknown'; readonly name: string }
  | { readonly kind: 'wrong'; readonly code: 'counts-differ'; readonly children: number; readonly births: number }
  | { readonly kind: 'guess'; readonly code: 'youngest' | 'day-first'; readonly month: string }
  | { readonly kind: 'guess'; readonly code: 'same-birth' | 'other-language' }
  | { readonly kind: 'dropped'; readonly code: 'surname' | 'phone' }
);

/** A table as it was understood: its homes in its order, and what is said of its cells. */
export interface FamilyReading {
  readonly families: readonly {
    readonly family: TableFamily;
    /** The rows it stands in, as they were given. */
    readonly rows: readonly number[];
    readonly isReady: boolean;
  }[];
  readonly notes: readonly CellNote[];
}
