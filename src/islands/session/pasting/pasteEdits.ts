import {
  type Edit,
  type Line,
  type PastedPart,
  plainSegment,
  type Segment,
  type Session,
} from '../../../core/session/index.ts';
import { newId } from '../../autosave/newId.ts';

/** Where something is pasted: into this part, behind this line; absent: at the end, before the goodbye. */
export interface PastedAt {
  readonly segment: string;
  readonly line: string;
}

/** What a paste brought: the edit that takes it in, and what of it was guessed. */
export interface Pasted {
  readonly edit: Edit;
  readonly lines: number;
  readonly parts: number;
  /** Lines whose kind was told from their words. */
  readonly guessed: readonly string[];
  readonly needs: readonly { readonly segment: string; readonly item: string; readonly qty: number }[];
}

/** Takes the parts of a page in: lines without a heading where the caret is, the others as parts behind it. */
export function pasteEdits(session: Session, pasted: readonly PastedPart[], at: PastedAt | null): Pasted {
  const here = session.segments.findIndex(({ id }) => id === at?.segment);
  const target = session.segments[here];
  const edits: Edit[] = [];
  const guessed: string[] = [];
  const needs: { segment: string; item: string; qty: number }[] = [];
  const linesOf = (part: PastedPart) =>
    part.lines.map(({ isGuessed, ...line }): Line => {
      const id = newId();
      if (isGuessed) guessed.push(id);
      return { id, ...line };
    });
  const needsOf = (segment: string, part: PastedPart, known: readonly string[]) => {
    for (const { item, qty } of part.needs.filter(({ item: named }) => !known.includes(named))) {
      edits.push({ do: 'add-need', segment, item, qty });
      needs.push({ segment, item, qty });
    }
  };
  const isBlank = target?.lines.every(({ text }) => text.trim() === '') && !target.from && !target.made;
  const [first, ...others] = pasted;
  const goesIn = first && target && !target.made && (first.title === null || isBlank);
  if (goesIn) {
    const lines = linesOf(first);
    const before = isBlank ? [] : linesBefore(target, at!.line);
    const after = isBlank ? [] : target.lines.slice(before.length);
    if (isBlank && first.title) edits.push({ do: 'rename-segment', segment: target.id, title: first.title });
    edits.push({ do: 'write-lines', segment: target.id, lines: [...before, ...lines, ...after] });
    needsOf(
      target.id,
      first,
      target.needs.map(({ item }) => item),
    );
  }
  let place = here < 0 ? endOf(session) : here + 1;
  for (const part of goesIn ? others : pasted) {
    const segment = {
      ...plainSegment(newId(), 'activity', part.title ?? 'Something to do', minutesOf(part)),
      lines: linesOf(part),
    };
    edits.push({ do: 'add-segment', segment, at: place });
    place += 1;
    needsOf(segment.id, part, []);
  }
  return {
    edit: { do: 'together', edits },
    lines: pasted.reduce((sum, { lines }) => sum + lines.length, 0),
    parts: pasted.length,
    guessed,
    needs,
  };
}

/** Least, likely and most minutes. */
const minutesOf = ({ minutes }: PastedPart) =>
  [Math.max(1, Math.round(minutes * 0.6)), minutes, Math.ceil(minutes * 1.6)] as const;

/** The lines up to one; all of them where it is none of them, without an empty one that the caret stands in. */
function linesBefore({ lines }: Segment, line: string): readonly Line[] {
  const index = lines.findIndex(({ id }) => id === line);
  return index < 0 ? lines : lines.slice(0, index + 1).filter(({ id, text }) => id !== line || text.trim() !== '');
}

function endOf({ segments }: Session): number {
  const closing = segments.findIndex(({ kind }) => kind === 'closing');
  return closing < 0 ? segments.length : closing;
}
