import type { RefObject } from 'react';
import type { Editor } from '@tiptap/core';
import type { ComposedSegment } from '../../../core/guide/index.ts';
import type { ThingsByKey } from '../../../core/materials/index.ts';
import type { Edit } from '../../../core/session/index.ts';
import type { WordChecks } from '../WordCheck.tsx';

/** The lines of a part, and who hears of what is done to them. */
export interface ScriptLinesProps {
  readonly part: ComposedSegment;
  readonly things: ThingsByKey;
  readonly mayWrite: boolean;
  readonly wordChecks: WordChecks;
  readonly onEdit: (edit: Edit) => void;
  /** Takes up what was written, and nothing that is still being written elsewhere. */
  readonly onWritten: (edit: Edit) => void;
}

/** The same, with the editor they are written in. */
export interface LineBarProps extends ScriptLinesProps {
  readonly editor: Editor;
  readonly flush: () => void;
}

/** How writing in a script begins. */
export interface StartOfWriting {
  /** Where the caret goes at once; null where it goes when somebody wants it. */
  readonly startsAt: 'start' | 'end' | null;
  /** What was typed before the text could take it; empty again once it has. */
  readonly typed: RefObject<TypedBefore | null>;
}

/** What was typed before the text could take it. */
export interface TypedBefore {
  readonly words: string;
  /** So many letters from the start. */
  readonly caret: number;
  /** Whether whoever typed is still there. */
  readonly hasFocus: boolean;
}
