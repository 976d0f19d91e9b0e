import type { MessageValue } from '../core/message.ts';

type UpTo<Text extends string, Sign extends string> = Text extends `${infer Before}${Sign}${string}` ? Before : Text;

/** What opens after a brace, up to the next sign: a name, or the text of a case, which is told by a blank or a number in it. */
type Opened<After extends string> = UpTo<UpTo<UpTo<After, '}'>, '{'>, ','>;

type IsName<Word extends string> = Word extends '' | `${string}${' ' | '#' | '.'}${string}` ? never : Word;

type NamesIn<Text extends string> = Text extends `${string}{${infer After}`
  ? IsName<Opened<After>> | NamesIn<After>
  : never;

/**
 * What a sentence in ICU MessageFormat speaks of, read off the sentence itself: a value that is left out, or that it does not know,
 * does not compile. A case of one word without a number would be taken for a name, so a case has a number or a blank in it.
 */
export type ValuesOf<Text extends string> = [NamesIn<Text>] extends [never]
  ? []
  : [values: Readonly<Record<NamesIn<Text>, MessageValue>>];
