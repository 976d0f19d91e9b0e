/** Pages in millimetres: shapes, cards, letters and their strokes, tunes, paper. */

export { cardPages } from './cards.ts';
export { type Drawing, inColumn, inGrid, type Ink, INKS, inRow, moved, scaled, type Shape } from './drawing.ts';
export { fittingCard, fittingEdge } from './fittingEdge.ts';
export { flowPages, writing } from './flow.ts';
export { saidAlong, tracedLetters } from './letterStrokes.ts';
export { strokeWays } from './strokeWays.ts';
export { bookPages, foldedSheet } from './littleBookPages.ts';
export { finishPage, type Page, type Paper, PAPERS, printableArea, type SheetSettings, USUAL_MARGIN } from './paper.ts';
export { dieNet, emptyTable, inkNamed, labelled, regularShape } from './pictures.ts';
export { counters, dotFace, framedCard, tallyMarks, tenFrame, wordCard } from './pieces.ts';
export { tracedNumeral } from './strokes.ts';
export { CAP_HEIGHT, fittingSize, textWidth } from './text.ts';
export { songLine } from './tunePage.ts';
export { markedWord, pictureCard } from './wordDrawings.ts';
