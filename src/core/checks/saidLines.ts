import { formatPieces, type TextPiece } from '../expressions/index.ts';
import type { ComposedLine } from '../guide/index.ts';
import { type Line, singularOf } from '../session/index.ts';

/** A line with its words written out; one that does not come out says nothing. */
export interface SaidLine {
  readonly line: Line;
  readonly text: string;
  readonly answer: string;
  readonly pieces: readonly TextPiece[];
  readonly answerPieces: readonly TextPiece[];
}

/** The lines of a part as they are said. No lines: none. */
export function saidLines(lines: readonly ComposedLine[]): SaidLine[] {
  return lines.map(({ line, text, answer }) => {
    const pieces = text.ok ? text.value : [];
    const answerPieces = answer?.ok ? answer.value : [];
    return { line, text: formatPieces(pieces), answer: formatPieces(answerPieces), pieces, answerPieces };
  });
}

/** A number that is said, with the word behind it as one would say it of one: 6 and “cup” of “6 cups”. */
export interface SaidNumber {
  readonly value: number;
  /** Where it stands, in characters. */
  readonly at: number;
  readonly said: string;
  /** Empty where no word follows. */
  readonly noun: string;
  /** The words behind it, up to three, each as one would say it of one. */
  readonly after: readonly string[];
  /** The words right before it, the nearest last, small. */
  readonly before: readonly string[];
}

const NUMBER_WORDS = ['two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const NUMBER = new RegExp(
  `(?<![\\p{L}\\d.,:/£$€-])(\\d{1,3}|${NUMBER_WORDS.join('|')})(?![\\p{L}\\d:/%-]|[.,]\\d)(?: ([\\p{L}’'-]{3,}))?`,
  'giu',
);

/** The whole numbers of two and more that words say, in figures or up to twelve as words. None: none. */
export function numbersSaid(text: string): SaidNumber[] {
  return [...text.matchAll(NUMBER)].flatMap(({ index, 1: said, 2: noun }) => {
    const value = /^\d/.test(said!) ? Number(said) : NUMBER_WORDS.indexOf(said!.toLowerCase()) + 2;
    if (value < 2) return [];
    const before = wordsOf(text.slice(Math.max(0, index - 60), index));
    const after = wordsOf(/^[^.!?:;,]*/.exec(text.slice(index + said!.length, index + 80))![0])
      .slice(0, 3)
      .map(singularOf);
    return [{ value, after, at: index, said: said!, noun: noun ? singularOf(noun.toLowerCase()) : '', before }];
  });
}

/** The words of a text, small, without marks. Empty text has none. */
export function wordsOf(text: string): string[] {
  return text.toLowerCase().match(/[\p{L}\p{N}]+(?:[’'-][\p{L}\p{N}]+)*/gu) ?? [];
}

/** A word as its title and its lines may share it: without the endings of many, of doing and of having done. */
export function stemOf(word: string): string {
  const plain = word.toLowerCase().replace(/[’']s?$/, '');
  const one = singularOf(plain);
  const bare = one.replace(/(?:ing|ed|er|ers|y|ie|e)$/, (ending) => (one.length - ending.length >= 3 ? '' : ending));
  return bare === one ? bare : bare.replace(/([bdglmnprt])\1$/, '$1');
}
