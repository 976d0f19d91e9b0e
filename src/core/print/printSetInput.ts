import { type MakerOutput, type MakersInWords, runMaker } from '../makers/index.ts';
import type { Page, Paper } from '../page/index.ts';
import type { Segment, Session } from '../session/index.ts';
import type { GuideSheet } from './guidePages.ts';

/** For whom a tray is printed. */
export const TRAY_FOR = ['author', 'home', 'all', 'kit'] as const;
/** For whom a print set is. */
export type TrayFor = (typeof TRAY_FOR)[number];

/** How: as usual, with little ink, in large print, or drawn by hand where there is no printer. */
export const TRAY_VERSIONS = ['usual', 'ink', 'large', 'by-hand'] as const;
/** How a print set is printed. */
export type TrayVersion = (typeof TRAY_VERSIONS)[number];

/** A home as far as its print set needs it. */
export interface PrintSetHome {
  readonly nickname: string;
  readonly children: readonly string[];
  /** What goes into its kit, in words; empty when it needs none. */
  readonly kit: readonly string[];
  /** Its guide, where that can be laid out here; null where it is printed from its own page. */
  readonly guide?: GuideSheet | null | undefined;
}

/** A tray of more pages is refused: nobody prints it, and laying it out would hold up others. */
export const MOST_PAGES = 1200;

/** What a print set is laid out from. */
export interface PrintSetInput {
  readonly session: Pick<Session, 'title' | 'segments'>;
  readonly for: TrayFor;
  readonly homes: readonly PrintSetHome[];
  readonly version: TrayVersion;
  readonly paper: Paper;
  /** The makers of its parts; the words of the print set are theirs, the author's. */
  readonly makers: MakersInWords;
}

/** Pages of a tray that belong together. */
export interface TrayPart {
  readonly title: string;
  readonly pages: readonly Page[];
}

/** What a part's maker made, for its dials as they stand; null for parts that no maker wrote. Play only: no sheets. */
export function madeOf({ made }: Segment, { findMaker, speech }: MakersInWords): MakerOutput | null {
  const maker = made && findMaker(made.maker);
  const answer = maker && runMaker(maker, made.values, { settings: made.settings, speech });
  if (!answer?.ok) return null;
  const { printable } = answer.value;
  return made!.settings.playOnly ? { ...answer.value, printable: { ...printable, sheets: [] } } : answer.value;
}
