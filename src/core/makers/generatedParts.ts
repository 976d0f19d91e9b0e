import { escapeBraces } from '../expressions/index.ts';
import type { Need } from '../materials/index.ts';
import type { LevelName, Line, MakerProblem, MakerSource, Segment } from '../session/index.ts';
import type { Speech } from '../message.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import { scaleQuantities } from '../time/index.ts';
import { runMaker, type MakersInWords } from './maker.ts';
import type { MakerLine, MakerOutput } from './makerOutput.ts';

const MADE = 'made-';

/** What a maker writes for a part, before the author's changes: lines at each level, needs and actions. */
export interface GeneratedParts {
  readonly lines: Readonly<Record<LevelName, readonly Line[]>>;
  readonly needs: readonly Need[];
  readonly actions: readonly string[];
  readonly minutes: Segment['minutes'];
  readonly posture: Segment['posture'];
  /** The line that its waiting comes after, where something dries or rises. */
  readonly waitAfter?: string | undefined;
  /** Where it is done, in words of the author's. */
  readonly where: string;
}

/** What the maker of a part writes for its values, in the words of a language. */
export function generatedParts(
  source: MakerSource,
  { findMaker, speech }: MakersInWords,
): Outcome<GeneratedParts, MakerProblem> {
  const maker = findMaker(source.maker);
  if (!maker) return err({ code: 'no-such-maker', maker: source.maker });
  const answer = runMaker(maker, source.values, { settings: source.settings, speech });
  return answer.ok ? ok(atPace(partsOf(maker.id, answer.value, speech), source.paces?.[answer.value.variant])) : answer;
}

/** Minutes as homes' answers corrected them, what is done together and alone. */
function atPace(parts: GeneratedParts, pace: number | undefined): GeneratedParts {
  if (pace === undefined) return parts;
  const { minutes } = parts;
  return {
    ...parts,
    minutes: {
      ...minutes,
      together: scaleQuantities(minutes.together, pace),
      alone: scaleQuantities(minutes.alone, pace),
    },
  };
}

function partsOf(
  makerId: string,
  { lines, materials, actions, minutes, posture, variant, wait }: MakerOutput,
  speech: Speech,
): GeneratedParts {
  return {
    lines: {
      easier: withKeys(makerId, lines.easier),
      right: withKeys(makerId, lines.right),
      harder: withKeys(makerId, lines.harder),
    },
    needs: materials
      .filter(({ qty }) => qty > 0)
      .map(({ item, qty, use, swaps, eaten }): Need => ({
        id: `${MADE}${item}`,
        item,
        qty,
        per: 'home',
        use,
        swaps,
        ...(eaten && { eaten }),
      })),
    actions,
    minutes,
    posture,
    ...(minutes.wait && wait && { waitAfter: `${MADE}${wait.after}` }),
    where: speech.find(`${makerId}/where.${variant}`) ?? speech.say(`makers/where.${variant.replaceAll(' ', '-')}`),
  };
}

/** Lines under the names of their messages; one that is written several times is numbered from the second on. */
function withKeys(makerId: string, lines: readonly MakerLine[]): Line[] {
  const seen = new Map<string, number>();
  return lines.map(({ key, kind, text, answer, values, role }): Line => {
    const times = (seen.get(key) ?? 0) + 1;
    seen.set(key, times);
    return {
      id: `${MADE}${key.replaceAll('.', '-')}${times > 1 ? `-${times}` : ''}`,
      kind,
      text: escapeBraces(text),
      answer: answer && escapeBraces(answer),
      ...(role && { role }),
      says: { key: `${makerId}/${key}`, ...(values && { values }) },
    };
  });
}
