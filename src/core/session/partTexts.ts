import type { TextKind } from '../cautions/index.ts';
import { formatPieces, renderTemplate, type TemplateScope } from '../expressions/index.ts';
import type { ThingsByKey } from '../materials/index.ts';
import { templateScope } from './asWrittenScope.ts';
import { levelsOf, linesAt } from './levels.ts';
import type { Segment } from './session.ts';

/** Something that a part says to a home, written out. */
export interface PartText {
  readonly kind: TextKind;
  readonly text: string;
  /** The line it stands in. */
  readonly line?: string | undefined;
  /** It is only said: what a book tells, what is sung. */
  readonly isTalk: boolean;
  /** Told only to homes that serve this need with this thing. */
  readonly onlyWith?: { readonly need: string; readonly item: string } | undefined;
  /** It is an answer that a child may give. */
  readonly isAnswer?: boolean | undefined;
}

const TALK: readonly TextKind[] = ['say', 'ask', 'sing', 'read', 'song'];

/**
 * Everything that a part may say to a home, whatever it taps there: its lines at every level with their answers, what
 * levels and tips say beside them, where it is done, the other way, how a book is told, what is done before. Each text
 * once. Where a text cannot be written out it is given as the author wrote it.
 */
export function textsOfPart(segment: Segment, things: ThingsByKey): PartText[] {
  const texts: PartText[] = [];
  const add = (kind: TextKind, text: string | undefined, more: Partial<PartText> = {}) => {
    if (text) texts.push({ kind, text, isTalk: TALK.includes(kind), ...more });
  };
  for (const level of levelsOf(segment)) {
    const scope = templateScope(segment, things, level);
    for (const { id, kind, text, answer } of linesAt(segment, level)) {
      add(kind, written(text, scope), { line: id });
      add('read', answer && written(answer, scope), { line: id, isAnswer: true });
    }
  }
  const scope = templateScope(segment, things, segment.level);
  for (const level of ['easier', 'harder'] as const)
    add('note', segment.levels[level]?.text && written(segment.levels[level].text, scope));
  for (const text of [segment.access, segment.where, segment.surface, segment.seating]) add('note', text);
  add('read', segment.retold);
  for (const entry of segment.ahead) add('do', entry.text, { onlyWith: aheadWith(segment, entry) });
  const seen = new Set<string>();
  return texts.filter(({ kind, text }) => {
    const name = `${kind} ${text}`;
    if (seen.has(name)) return false;
    return seen.add(name);
  });
}

/** What a home has to use to be told of something ahead; absent: every home is told. */
export function aheadWith(
  { needs }: Pick<Segment, 'needs'>,
  { for: target }: Pick<Segment['ahead'][number], 'for'>,
): PartText['onlyWith'] {
  const need = target && needs.find(({ id }) => id === target.need);
  // It was written for what the script said, whatever an author put in its place since.
  return need && { need: need.id, item: target.item ?? need.taken?.from ?? need.item };
}

function written(text: string, scope: TemplateScope): string {
  const rendered = renderTemplate(text, scope);
  return rendered.ok ? formatPieces(rendered.value) : text;
}
