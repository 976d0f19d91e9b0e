import type { LevelName } from '../session/levelName.ts';
import type { LineKind } from '../session/line.ts';
import type { Drawing } from '../page/drawing.ts';

export interface MakerLine {
  /** The name of the line in its maker: the same at every setting of the dials. */
  readonly key: string;
  readonly kind: LineKind;
  readonly text: string;
  readonly answer?: string | undefined;
}

export interface MakerMaterial {
  readonly item: string;
  readonly qty: number;
  readonly use: 'lasting' | 'used-up';
  /** What else will do, with how well. */
  readonly swaps: readonly {
    readonly item: string;
    readonly fit: number;
    readonly why: string;
    /** How many of it serve the whole need: an expression over `need` and `places`. */
    readonly qty?: string | undefined;
  }[];
}

/** What is cut or written on: equal cards for sheets, or drawings one below the other. */
export interface Printable {
  readonly title: string;
  readonly cards: readonly Drawing[];
  readonly backs?: readonly Drawing[] | undefined;
  readonly sheets: readonly Drawing[];
}

export interface MakerOutput {
  /** Sums and facts for the author, a sentence each. */
  readonly facts: readonly string[];
  readonly picture: Drawing;
  readonly lines: Readonly<Record<LevelName, readonly MakerLine[]>>;
  readonly materials: readonly MakerMaterial[];
  /** Caution rules that its doing calls for. */
  readonly actions: readonly string[];
  readonly printable: Printable;
  /** The answer key, a line each. */
  readonly key: readonly string[];
}
