import type { MessageValues, Say } from '../message.ts';
import type { Drawing } from '../page/index.ts';
import type { LevelName, LineKind, Segment } from '../session/index.ts';
import type { Triple } from '../numbers/index.ts';
import type { Turns } from './variant.ts';

/** A line that a maker writes: finished words, and the message it was said from, so that it can be said in another language. */
export interface MakerLine {
  /** The name of its message in the maker's catalogue: the same at every setting of the dials. */
  readonly key: string;
  readonly values?: MessageValues | undefined;
  readonly kind: LineKind;
  readonly text: string;
  /** What an adult may expect; asked lines have one, under `<key>.answer`. */
  readonly answer?: string | undefined;
  /** Whose it is where there are two children. */
  readonly role?: 'older' | 'younger' | undefined;
}

/** A thing that a maker's part takes. */
export interface MakerMaterial {
  readonly item: string;
  readonly qty: number;
  readonly use: 'lasting' | 'used-up';
  /** It is eaten in the end, and judged as food. */
  readonly eaten?: boolean | undefined;
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

/** What a maker works out for the values of its dials; its run is written around it. */
export interface Worked {
  /** Sums and facts for the author, a sentence each. */
  readonly facts: readonly string[];
  /** What the sentences of its run speak of. */
  readonly values: MessageValues;
  /** What is otherwise in the easier run, such as how far it goes. */
  readonly easier?: MessageValues | undefined;
  readonly turns: Turns;
  /** Minutes together where they are known better than from turns, such as those of a game. */
  readonly together?: Triple | undefined;
  readonly picture: Drawing;
  /** What is laid out and what is asked, at each level; nothing where the ways of playing are written whole. */
  readonly lines: Readonly<Record<LevelName, readonly MakerLine[]>>;
  /** What is true at these settings, and what there are several of, for ways of playing that are written whole. */
  readonly holds?: Readonly<Record<string, boolean>> | undefined;
  readonly each?: Readonly<Record<string, readonly MessageValues[]>> | undefined;
  readonly materials: readonly MakerMaterial[];
  /** Caution rules that its doing calls for. */
  readonly actions: readonly string[];
  readonly printable: Printable;
  /** The answer key, a line each. */
  readonly key: readonly string[];
  /** What has to dry, rise or freeze before one goes on: minutes least, likely and most, and the line it comes after. */
  readonly wait?: { readonly minutes: Triple; readonly after: string } | undefined;
}

/** Everything that is known of a maker's part: its run whole at each level, its minutes, and what its picture shows in words. */
export interface MakerOutput extends Worked {
  /** The way it is run or played. */
  readonly variant: string;
  readonly pictureWords: string;
  readonly minutes: Segment['minutes'];
  readonly posture: Segment['posture'];
}

/** The lines of a maker whose ways of playing are written whole. */
export const WRITTEN_WHOLE: Worked['lines'] = { easier: [], right: [], harder: [] };

type WriteLine = (key: string, values?: MessageValues) => MakerLine;

/** Writes the lines of a maker: one function for each kind of line, each given the name of its message and its values. */
export function lineWriters(say: Say): Readonly<
  Record<'toDo' | 'toSay' | 'toAsk' | 'toNotice' | 'inCase', WriteLine>
> & {
  readonly write: (kind: LineKind) => WriteLine;
} {
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
    write,
    toDo: write('do'),
    toSay: write('say'),
    toAsk: write('ask'),
    toNotice: write('notice'),
    inCase: write('if'),
  };
}

/** The name of a line's message: its kind, then which of that kind. */
type LineName = `${LineKind}-${string}`;

/** Writes lines about the same values, by the names of their messages: `write('do-1', 'ask-1', 'notice-1')`. */
export function linesAbout(say: Say, values: MessageValues): (...names: readonly LineName[]) => MakerLine[] {
  const { write } = lineWriters(say);
  return (...names) => names.map((name) => write(name.split('-')[0] as LineKind)(name, values));
}

/** Something that is laid out again afterwards, with what else will do. */
export function lasting(item: string, qty: number, swaps: MakerMaterial['swaps'] = []): MakerMaterial {
  return { item, qty, use: 'lasting', swaps };
}

/** Something that is used up, with what else will do. */
export function usedUp(item: string, qty: number, swaps: MakerMaterial['swaps'] = []): MakerMaterial {
  return { item, qty, use: 'used-up', swaps };
}
