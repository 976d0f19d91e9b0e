import type { MessageValues, Say } from '../message.ts';
import { type LevelName, LEVELS, type LineKind, LINE_KINDS, type Segment } from '../session/index.ts';
import { lineWriters, type MakerLine } from './makerOutput.ts';

/**
 * One way of playing what a maker makes, written whole as it is said, from the opening to the end and for each level. A line of
 * a script is one line of the text: what kind it is, what is said, and behind an arrow the answer.
 *
 * - `ask “Who is coming?” → {guests}`: the kinds of lines, and `older` and `younger` for one of two children.
 * - `[some placed] do …`: said only where the maker says so; `[not …]` otherwise; several stand with commas.
 * - `[each price] ask …`: said for each of several; lines in a row of the same kind of thing are said together.
 */
export interface WrittenPlay {
  /** What happens in it, in a few words. */
  readonly title: string;
  /** Where it is played, as it stands on a guide. */
  readonly where: string;
  readonly posture: Segment['posture'];
  readonly easier: string;
  readonly right: string;
  readonly harder: string;
}

/** A way of playing: its lines without their words, which are in the maker's catalogue under their keys. */
export interface Play {
  readonly id: string;
  readonly posture: Segment['posture'];
  readonly levels: Readonly<Record<LevelName, readonly PlayLine[]>>;
}

interface PlayLine {
  readonly key: string;
  readonly kind: LineKind;
  readonly role?: 'older' | 'younger' | undefined;
  readonly when: readonly { readonly name: string; readonly isNot: boolean }[];
  /** What it may speak of, so that nothing else is stored with it. */
  readonly speaksOf: readonly string[];
  /** What it is said for each of. */
  readonly each?: string | undefined;
}

/** What a script is said with. */
export interface PlayFacts {
  readonly values: MessageValues;
  /** What is true at these settings, by the names that the script's brackets use. */
  readonly holds: Readonly<Record<string, boolean>>;
  /** What there are several of, by the names after “each”: what each line is then said with besides. */
  readonly each: Readonly<Record<string, readonly MessageValues[]>>;
}

const LINE = /^(?:\[([^\]]+)\] )?(\w+) (.+?)(?: → (.+))?$/;

/** The ways of playing of a maker, and all their sentences for its catalogue. A line that is none throws: it is a fault of ours. */
export function readPlays(written: Readonly<Record<string, WrittenPlay>>): {
  readonly plays: readonly Play[];
  readonly words: Readonly<Record<string, string>>;
} {
  const words: Record<string, string> = {};
  const plays = Object.entries(written).map(([id, play]): Play => {
    words[`choice.${id}`] = play.title;
    words[`where.${id}`] = play.where;
    const read = (level: LevelName) =>
      play[level]
        .trim()
        .split(/\n\s*/)
        .map((text, index): PlayLine => {
          const [, brackets, said, sentence, answer] = LINE.exec(text) ?? [];
          const kind = said === 'older' || said === 'younger' ? 'do' : LINE_KINDS.find((known) => known === said);
          if (!kind || sentence === undefined) throw new Error(`${id}, ${level}: “${text}” is no line of a script`);
          const key = `${id}.${level}-${index + 1}`;
          words[key] = sentence;
          if (kind === 'ask') words[`${key}.answer`] = answer ?? '';
          const named = (brackets ?? '').split(', ').filter(Boolean);
          return {
            key,
            kind,
            speaksOf: [...`${sentence} ${answer}`.matchAll(/\{(\w+)[,}]/g)].map(([, name]) => name!),
            ...(kind !== said && { role: said as 'older' | 'younger' }),
            when: named
              .filter((name) => !name.startsWith('each '))
              .map((name) => ({ name: name.replace(/^not /, ''), isNot: name.startsWith('not ') })),
            each: named.find((name) => name.startsWith('each '))?.slice('each '.length),
          };
        });
    return {
      id,
      posture: play.posture,
      levels: { easier: read('easier'), right: read('right'), harder: read('harder') },
    };
  });
  return { plays, words };
}

/** The lines of a way of playing at each level, as they are said at these settings. */
export function playLines(play: Play, facts: PlayFacts, say: Say): Readonly<Record<LevelName, readonly MakerLine[]>> {
  const { write } = lineWriters(say);
  const isSaid = ({ when }: PlayLine) =>
    when.every(({ name, isNot }) => {
      const holds = facts.holds[name];
      if (holds === undefined) throw new Error(`${play.id}: nothing says whether “${name}” holds`);
      return holds !== isNot;
    });
  const written = ({ key, kind, role, speaksOf }: PlayLine, values: MessageValues): MakerLine => {
    const spoken = Object.fromEntries(Object.entries(values).filter(([name]) => speaksOf.includes(name)));
    const line = write(kind)(key, spoken);
    return { ...line, answer: line.answer || undefined, ...(role && { role }) };
  };
  const linesOf = (level: LevelName) =>
    inRuns(play.levels[level].filter(isSaid)).flatMap(({ each, lines }) => {
      if (each === undefined) return lines.map((line) => written(line, facts.values));
      const several = facts.each[each];
      if (!several) throw new Error(`${play.id}: nothing says what each “${each}” is`);
      return several.flatMap((own) => lines.map((line) => written(line, { ...facts.values, ...own })));
    });
  return Object.fromEntries(LEVELS.map((level) => [level, linesOf(level)])) as Record<LevelName, MakerLine[]>;
}

/** Lines in the order they are said, those in a row that are said for each of the same together. */
function inRuns(lines: readonly PlayLine[]): { each: string | undefined; lines: PlayLine[] }[] {
  const runs: { each: string | undefined; lines: PlayLine[] }[] = [];
  for (const line of lines) {
    const last = runs.at(-1);
    if (last && last.each === line.each) last.lines.push(line);
    else runs.push({ each: line.each, lines: [line] });
  }
  return runs;
}
