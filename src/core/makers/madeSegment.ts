import { bad, good, type Outcome } from '../outcome.ts';
import { plainSegment } from '../script/fromShelf.ts';
import { dialValues, type Dial, type Line, type Need, type Segment } from '../script/session.ts';
import {
  runMaker,
  type Made,
  type MadeFrom,
  type MadeLine,
  type Maker,
  type MakerProblem,
  type MakerSettings,
  type MakerValues,
} from './maker.ts';
import { findMaker } from './makers.ts';

const MADE = 'made-';
const USUAL_MINUTES = { setup: [1, 2, 4], together: [4, 7, 12], alone: [0, 3, 8], tidy: [0, 1, 2] } as const;

/** A part of a session that a maker writes; its number and choice dials can be turned on the bench. */
export function segmentFromMaker(
  maker: Maker,
  { values, settings, id }: { values: MakerValues; settings: MakerSettings; id: string },
): Outcome<Segment, MakerProblem> {
  const answer = runMaker(maker, values, settings);
  if (!answer.ok) return answer;
  const dials = maker.dials.flatMap((dial): Dial[] => {
    if (dial.kind === 'number')
      return [{ name: dial.name, label: dial.label, min: dial.min, max: dial.max, value: values[dial.name] as number }];
    return dial.kind === 'choice'
      ? [{ name: dial.name, label: dial.label, choices: dial.choices, value: String(values[dial.name]) }]
      : [];
  });
  const segment: Segment = {
    ...plainSegment(id, 'activity', maker.title, USUAL_MINUTES.together),
    minutes: USUAL_MINUTES,
    aim: maker.about,
    skills: maker.skills,
    where: 'at the table',
    dials,
    rightDials: dialValues(dials),
    made: { maker: maker.id, values, settings },
    access: 'Every number can be felt, pointed to or said: one of the three is enough.',
  };
  return good(withMade(segment, answer.value));
}

/** The part as its maker writes it for the dials as they stand; what an author wrote beside it stays. */
export function remakeSegment(segment: Segment): Outcome<Segment, MakerProblem> {
  const made = segment.made as MadeFrom;
  const maker = findMaker(made.maker);
  if (!maker) return bad({ code: 'breaks-level', reason: `there is no maker “${made.maker}” any more` });
  const values = { ...made.values, ...dialValues(segment.dials) };
  const answer = runMaker(maker, values, made.settings);
  return answer.ok ? good(withMade({ ...segment, made: { ...made, values } }, answer.value)) : answer;
}

function withMade(segment: Segment, made: Made): Segment {
  const own = segment.lines.filter(({ id }) => !id.startsWith(MADE));
  const level = (lines: readonly MadeLine[]) => ({ text: lines.map(asWords).join(' ').slice(0, 600), dials: {} });
  return {
    ...segment,
    lines: [...made.lines[segment.level].map(asLine), ...own],
    needs: made.materials
      .filter(({ qty }) => qty > 0)
      .map(({ item, qty, use, swaps }, index): Need => ({ id: `${MADE}${index}`, item, qty, per: 'home', use, swaps })),
    levels: { easier: level(made.lines.easier), harder: level(made.lines.harder) },
    actions: made.actions,
  };
}

function asLine({ kind, text, answer }: MadeLine, index: number): Line {
  return { id: `${MADE}${index}`, kind, text: escapeBraces(text), answer: answer && escapeBraces(answer) };
}

function asWords({ text, answer }: MadeLine): string {
  return escapeBraces(answer ? `${text} (${answer})` : text);
}

function escapeBraces(text: string): string {
  return text.replaceAll('{', '{{');
}
