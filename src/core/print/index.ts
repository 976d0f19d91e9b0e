/** A set of pages for a session: guides, cards, kits, contents. */

export type { GuideSheet, SheetLine } from './guidePages.ts';
export {
  estimatePages,
  layoutPrintSet,
  MOST_PAGES,
  type PrintSet,
  type PrintSetHome,
  type PrintSetInput,
  TRAY_FOR,
  TRAY_VERSIONS,
  type TrayFor,
  type TrayVersion,
} from './printSet.ts';
