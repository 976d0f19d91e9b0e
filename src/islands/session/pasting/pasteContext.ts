import { createContext } from 'react';
import type { Paragraph } from '../../../core/session/index.ts';
import type { PastedAt } from './pasteEdits.ts';

/** What is pasted into a sheet, and what of it was guessed and not looked at yet. */
export interface Pasting {
  /** Takes paragraphs in, behind a line or at the end. */
  readonly paste: (paragraphs: readonly Paragraph[], at: PastedAt | null) => void;
  /** Lines whose kind was told from their words. */
  readonly guessed: ReadonlySet<string>;
}

export const PasteContext = createContext<Pasting>({ paste: () => undefined, guessed: new Set() });
