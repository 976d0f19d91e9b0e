import type { MessageValues, Say } from '../message.ts';
import type { Drawing } from '../page/drawing.ts';
import type { LevelName } from '../session/levelName.ts';
import type { LineKind } from '../session/line.ts';

/** A line that a maker writes: finished words, and the message it was said from, so that it can be said in another language. */
export interface MakerLine {
  /** The name of its message in the maker's catalogue: the same at every setting of the dials. */
  readonly key: string;
  readonly values?: MessageValues | undefined;
  readonly kind: LineKind;
  readonly text: string;
  /** What an adult may expect; asked lines have one, under `<key>.answer`. */
  readonly answer?: string | undefined;
}

/** A thing that a maker's part takes. */
export interface MakerMaterial {
  readonly item: string;
  readonly qty: number;
  readonly use: 'lasting' | 'used-up';
  /** What else will do, with how well (0 hardly to 1 as good). */
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

/** Everything that a maker works out for the values of its dials. */
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

type WriteLine = (key: string, values?: MessageValues) => MakerLine;

/** Writes the lines of a maker: one function for each kind of line, each given the name of its message and its values. */
export function lineWriters(say: Say): Readonly<Record<'toDo' | 'toSay' | 'toAsk' | 'toNotice' | 'inCase', WriteLine>> {
  const write =
    (kind: LineKind): WriteLine =>
    (key, values) => ({
      key,
      kind,
      text: say(key, values),
      ...(values && { values }),
      ...(kind === 'ask' && { answer: say(`${key}.answer`, values) }),
    });
  return {
    toDo: write('do'),
    toSay: write('say'),
    toAsk: write('ask'),
    toNotice: write('notice'),
    inCase: write('if'),
  };
}

/** Something that is laid out again afterwards, with what else will do. */
export function lasting(item: string, qty: number, swaps: MakerMaterial['swaps'] = []): MakerMaterial {
  return { item, qty, use: 'lasting', swaps };
}

/** Something that is used up, with what else will do. */
export function usedUp(item: string, qty: number, swaps: MakerMaterial['swaps'] = []): MakerMaterial {
  return { item, qty, use: 'used-up', swaps };
}
