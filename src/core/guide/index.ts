/** A session put together: for its author, and for one home with its own things, dials and language. */

export { captionsOf, chaptersOf } from './captions.ts';
export { htmlOf, markdownOf, paragraphsOfMarkdown, scriptPage } from './scriptPage.ts';
export { rehearsalOf, type RehearsedLine, type RehearsedPart } from './rehearsal.ts';
export { composeGuide, type GuideInput } from './composeGuide.ts';
export {
  type ComposedLine,
  type ComposedSegment,
  type ComposedSession,
  composeSegment,
  composeSession,
  materialsOrNone,
  timedParts,
  writeNote,
} from './composition.ts';
export type { Guide, GuideLevel, GuideLine, GuidePicture, GuideSegment } from './guide.ts';
export { readGuideCopy, writeGuideCopy } from './guideCopy.ts';
export { type GuideChange, guideChanges } from './guideChanges.ts';
export { madePicture } from './madePicture.ts';
