import type { Edit, EditProblem } from './edits.ts';
import type { LevelName } from './levelName.ts';
import { dialValues, isNumberDial, type Dial } from './dial.ts';
import type { Line } from './line.ts';
import type { MakerProblem } from './makerProblem.ts';
import { type Need, takeOver } from '../materials/index.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import { linesAt } from './levels.ts';
import type { Segment, Session } from './session.ts';
import { rewritten, writtenOver } from './writtenLines.ts';

/** Writes a part that a maker made anew, for its dials as they stand; the makers lie above this folder, so it is handed in. */
export type Regenerate = (segment: Segment) => Outcome<Segment, MakerProblem>;

/**
 * Applies one edit and gives the new session; the old one stays as it was, so that it can be undone. A turned dial of a
 * part that a maker made asks `regenerate` for its lines.
 */
export function applyEdit(session: Session, edit: Edit, regenerate: Regenerate): Outcome<Session, EditProblem> {
  switch (edit.do) {
    case 'describe': {
      const { do: _, ...change } = edit;
      return ok({ ...session, ...change });
    }
    case 'accept':
      return ok({
        ...session,
        accepted: [...new Set([...session.accepted, edit.finding])],
        kept: { ...session.kept, [edit.finding]: { text: edit.text, because: edit.because } },
      });
    case 'remark':
      return ok({ ...session, remarks: [...(session.remarks ?? []), edit.remark] });
    case 'close-remark':
      return ok(withoutRemark(session, edit.remark));
    case 'add-segment':
      return ok({ ...session, segments: session.segments.toSpliced(edit.at, 0, edit.segment) });
    case 'remove-segment':
      return ok({ ...session, segments: session.segments.filter(({ id }) => id !== edit.segment) });
    case 'move-segment': {
      const moved = moveWithin(session.segments, edit.segment, edit.to);
      return moved.ok ? ok({ ...session, segments: moved.value }) : moved;
    }
    case 'together': {
      let changed: Outcome<Session, EditProblem> = ok(session);
      for (const part of edit.edits) if (changed.ok) changed = applyEdit(changed.value, part, regenerate);
      return changed;
    }
    case 'carry-line':
      return carryLine(session, edit);
    default:
      return changeSegment(session, edit.segment, (segment) => editSegment(segment, edit, regenerate));
  }
}

/** Checks a value against its dial: whole and within its range, or one of its choices. */
export function checkDial(
  dial: Dial,
  value: number | string,
  segmentTitle: string,
): Outcome<number | string, EditProblem> {
  const at = { segment: segmentTitle, dial: dial.label };
  if (!isNumberDial(dial)) {
    return dial.choices.includes(String(value))
      ? ok(value)
      : err({ code: 'no-such-choice', ...at, value: String(value), choices: dial.choices });
  }
  if (typeof value !== 'number' || !Number.isInteger(value)) return err({ code: 'dial-not-whole', ...at, value });
  if (value < dial.min || value > dial.max) {
    return err({ code: 'dial-out-of-range', ...at, value, min: dial.min, max: dial.max });
  }
  return ok(value);
}

/** Without a note that was dealt with; the last one takes the list along. */
function withoutRemark(session: Session, id: string): Session {
  const remarks = (session.remarks ?? []).filter((remark) => remark.id !== id);
  return { ...session, remarks: remarks.length > 0 ? remarks : undefined };
}

type SegmentEdit = Exclude<
  Edit,
  | { do: 'describe' }
  | { do: 'accept' }
  | { do: 'remark' }
  | { do: 'close-remark' }
  | { do: 'carry-line' }
  | { do: 'together' }
  | { do: 'add-segment' }
  | { do: 'remove-segment' }
  | { do: 'move-segment' }
>;

function editSegment(segment: Segment, edit: SegmentEdit, regenerate: Regenerate): Outcome<Segment, EditProblem> {
  switch (edit.do) {
    case 'turn-dial':
      return regenerated(turnDials(segment, { [edit.dial]: edit.value }), regenerate);
    case 'choose-level':
      // A maker's levels share their dials, so another level only shows other lines.
      return segment.made ? ok({ ...segment, level: edit.level }) : chooseLevel(segment, edit.level);
    case 'time-segment':
      return ok({ ...segment, minutes: { ...segment.minutes, [edit.part]: edit.minutes } });
    case 'add-line':
      return editLines(segment, (lines) => ok(lines.toSpliced(edit.at, 0, edit.line)));
    case 'remove-line':
      return editLines(segment, (lines) => ok(lines.filter(({ id }) => id !== edit.line)));
    case 'move-line':
      return editLines(segment, (lines) => moveWithin(lines, edit.line, edit.to));
    case 'change-line':
      return editLines(segment, (lines) =>
        ok(lines.map((line) => (line.id === edit.line ? rewritten(line, edit.change) : line))),
      );
    case 'write-lines':
      return editLines(segment, (before) => ok(writtenOver(before, edit.lines)));
    case 'use-swap':
      return useSwap(segment, edit.need, edit.item);
    case 'rename-segment':
      return ok(edit.title === segment.title ? segment : { ...segment, title: edit.title, says: undefined });
    case 'replace-segment':
      return ok(replaced(segment, edit.by));
    case 'add-need':
      return ok({ ...segment, needs: [...segment.needs, newNeed(segment, edit.item, edit.qty)] });
    case 'change-need':
      return ok({
        ...segment,
        needs: segment.needs.map((need) => (need.id === edit.need ? { ...need, ...edit.change } : need)),
      });
    case 'remove-need':
      return ok({ ...segment, needs: segment.needs.filter(({ id }) => id !== edit.need) });
  }
}

function carryLine(
  session: Session,
  { segment: from, line: id, to, text, answer }: Extract<Edit, { do: 'carry-line' }>,
): Outcome<Session, EditProblem> {
  let carried: Line | undefined;
  const without = changeSegment(session, from, (segment) =>
    editLines(segment, (lines) => {
      carried = lines.find((line) => line.id === id);
      return carried ? ok(lines.filter((line) => line !== carried)) : err({ code: 'no-such-part', part: id });
    }),
  );
  if (!without.ok) return without;
  const line = rewritten(carried!, { text, answer });
  return changeSegment(without.value, to, (segment) => editLines(segment, (lines) => ok([...lines, line])));
}

/** Another version of a part in its place: under its id, at the level it stood at where that is still offered. */
function replaced(segment: Segment, by: Segment): Segment {
  const fresh: Segment = { ...by, id: segment.id };
  if (segment.level === 'right' || !fresh.levels[segment.level]) return fresh;
  const turned = chooseLevel(fresh, segment.level);
  return turned.ok ? turned.value : fresh;
}

/** So many of a thing (one) for each home, kept after use, until the author says otherwise. */
function newNeed({ needs }: Segment, item: string, qty = 1): Need {
  const stem = item.replace(/[^A-Za-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'thing';
  const taken = new Set(needs.map(({ id }) => id));
  let id = stem;
  for (let number = 2; taken.has(id); number++) id = `${stem}-${number}`;
  return { id, item, qty, per: 'home', use: 'lasting', swaps: [] };
}

/** Changes the lines of the level that is shown: its own where it has any, the main ones otherwise. */
function editLines(
  segment: Segment,
  change: (lines: readonly Line[]) => Outcome<readonly Line[], EditProblem>,
): Outcome<Segment, EditProblem> {
  const { level, levels } = segment;
  const changed = change(linesAt(segment, level));
  if (!changed.ok) return changed;
  if (level === 'right' || !levels[level]?.lines) return ok({ ...segment, lines: changed.value });
  return ok({ ...segment, levels: { ...levels, [level]: { ...levels[level], lines: changed.value } } });
}

function chooseLevel(segment: Segment, level: LevelName): Outcome<Segment, EditProblem> {
  const settings = level === 'right' ? segment.rightDials : segment.levels[level]?.dials;
  const kept =
    segment.level === 'right'
      ? Object.fromEntries(segment.dials.map(({ name, value }) => [name, value]))
      : segment.rightDials;
  return turnDials({ ...segment, level, rightDials: kept }, { ...kept, ...settings });
}

function turnDials(segment: Segment, values: Readonly<Record<string, number | string>>): Outcome<Segment, EditProblem> {
  const dials: Dial[] = [];
  for (const dial of segment.dials) {
    const value = Object.hasOwn(values, dial.name) ? values[dial.name]! : dial.value;
    const checked = checkDial(dial, value, segment.title);
    if (!checked.ok) return checked;
    dials.push({ ...dial, value: checked.value } as Dial);
  }
  return ok({ ...segment, dials });
}

/** Puts a swap in the place of what the script says, or back what it said before, with the dials that go with it. */
function useSwap(segment: Segment, needId: string, item: string): Outcome<Segment, EditProblem> {
  const need = segment.needs.find(({ id }) => id === needId);
  const taken = need && takeOver(need, item, dialValues(segment.dials));
  if (!taken) return err({ code: 'no-such-part', part: needId });
  const needs = segment.needs.map((other) => (other === need ? taken.need : other));
  return turnDials({ ...segment, needs }, taken.dials);
}

function changeSegment(
  session: Session,
  id: string,
  change: (segment: Segment) => Outcome<Segment, EditProblem>,
): Outcome<Session, EditProblem> {
  const segment = session.segments.find((candidate) => candidate.id === id);
  if (!segment) return err({ code: 'no-such-part', part: id });
  const changed = change(segment);
  if (!changed.ok) return changed;
  const segments = session.segments.map((candidate) => (candidate === segment ? changed.value : candidate));
  return ok({ ...session, segments });
}

function moveWithin<Part extends { readonly id: string }>(
  parts: readonly Part[],
  id: string,
  to: number,
): Outcome<readonly Part[], EditProblem> {
  const part = parts.find((candidate) => candidate.id === id);
  if (!part) return err({ code: 'no-such-part', part: id });
  const others = parts.filter((candidate) => candidate !== part);
  return ok(others.toSpliced(Math.max(0, Math.min(to, others.length)), 0, part));
}

/** What a number maker wrote is written anew for the dials as they now stand. */
function regenerated(turned: Outcome<Segment, EditProblem>, regenerate: Regenerate): Outcome<Segment, EditProblem> {
  if (!turned.ok || !turned.value.made) return turned;
  const answer = regenerate(turned.value);
  return answer.ok ? answer : err({ code: 'maker-refuses', segment: turned.value.title, problem: answer.problem });
}
