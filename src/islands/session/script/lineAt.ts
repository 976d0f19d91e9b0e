import type { Editor } from '@tiptap/core';
import { NodeSelection } from '@tiptap/pm/state';
import {
  namesOf,
  type ThingIndex,
  thingIndex,
  type ThingsByKey,
  thingsNamed,
  toolsFor,
} from '../../../core/materials/index.ts';
import { type LineKind, numbersIn, type Segment } from '../../../core/session/index.ts';
import { holdsAnswer } from './scriptKeys.ts';

/** Something that can be put into a line as a block. */
export interface PutIn {
  readonly words: string;
  /** How it is stored. */
  readonly source: string;
  readonly group: 'number' | 'thing' | 'child';
}

/** The line that the caret is in. */
export interface LineAt {
  readonly id: string;
  /** Counted from 0. */
  readonly index: number;
  readonly kind: LineKind;
  readonly words: string;
  /** Numbers of the line that do not turn yet. */
  readonly numbers: readonly number[];
  readonly hasAnswer: boolean;
  /** What the words before the caret name, so many letters back; null where they name nothing. */
  readonly named: (PutIn & { readonly length: number }) | null;
  /** Things that the line names or works with, and that nobody is told to fetch yet. */
  readonly toFetch: readonly { readonly item: string; readonly qty: number }[];
  /** The block that is selected, as it is stored. */
  readonly block: string | null;
}

/** What may be put into the lines of a part: its numbers, its things, the child. */
export function putInsOf({ dials, needs }: Segment, things: ThingsByKey): PutIn[] {
  return [
    ...dials.map(({ name, label }): PutIn => ({ words: label, source: `{${name}}`, group: 'number' })),
    ...needs.map(({ id, item }): PutIn => ({
      words: namesOf(item, things).many,
      source: `{@${id}}`,
      group: 'thing',
    })),
    { words: 'the child’s name', source: '{child|your child}', group: 'child' },
    { words: 'what the child loves', source: '{loves|a digger}', group: 'child' },
  ];
}

/** The line the caret is in, and what can be done there. */
export function lineAt(editor: Editor, segment: Segment, things: ThingsByKey): LineAt | null {
  const { selection } = editor.state;
  const line = selection.$head.parent;
  if (line.type.name !== 'line') return null;
  const { id, kind } = line.attrs as { id: string; kind: LineKind };
  const before = line.textBetween(0, selection.$head.parentOffset, undefined, '￼');
  return {
    id,
    kind,
    index: selection.$head.index(0),
    words: line.textContent,
    numbers: segment.made ? [] : numbersIn(line.textContent),
    hasAnswer: holdsAnswer(line),
    toFetch: segment.made ? [] : toFetchFor(line.textContent, segment, things),
    named: selection.empty ? named(before, putInsOf(segment, things)) : null,
    block:
      selection instanceof NodeSelection && selection.node.type.name === 'chip'
        ? String(selection.node.attrs.source)
        : null,
  };
}

const indexes = new WeakMap<ThingsByKey, ThingIndex>();

function toFetchFor(words: string, { needs }: Segment, things: ThingsByKey): LineAt['toFetch'] {
  const index = indexes.get(things) ?? thingIndex(things);
  indexes.set(things, index);
  const known = new Set(needs.flatMap(({ item, swaps }) => [item, ...swaps.map((swap) => swap.item)]));
  const tools = toolsFor(words, things).map((item) => ({ item, qty: 1 }));
  const all = [...thingsNamed(words, index), ...tools].filter(({ item }) => !known.has(item));
  return all.filter(({ item }, at) => all.findIndex((other) => other.item === item) === at).slice(0, MOST_OFFERED);
}

const MOST_OFFERED = 4;
const SHORTEST_NAME = 3;

/** What the last word before the caret names in full, or begins to, from three letters on. */
function named(before: string, putIns: readonly PutIn[]): LineAt['named'] {
  const word = /(?:^|\s)(\p{L}[\p{L} ’'-]*)$/u.exec(before)?.[1]?.toLowerCase();
  if (!word) return null;
  for (const putIn of putIns) {
    const name = putIn.words.toLowerCase();
    for (let at = 0; at < word.length; at = word.indexOf(' ', at) < 0 ? word.length : word.indexOf(' ', at) + 1) {
      const typed = word.slice(at);
      if (typed.length >= SHORTEST_NAME && name.startsWith(typed)) return { ...putIn, length: typed.length };
    }
  }
  return null;
}
