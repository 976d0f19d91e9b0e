/**
 * What a word asks for: somebody looks at it before it is sent, a caution is said, somebody says which of two things is
 * meant, or it holds an allergen. `harmless` is a way of saying it that only looks like one of the others.
 */
export type WordGroup = 'check' | 'note' | 'ask' | 'allergen' | 'harmless';

/** Words of one meaning, with the reason they are listed for. */
export interface WordEntry {
  readonly group: WordGroup;
  /** The caution rules they call for, or the allergens they hold; none for `harmless`. */
  readonly rules: readonly string[];
  /** The allergens it holds where the sentence is about a meal. */
  readonly asFood?: readonly string[];
  readonly why: string;
  /**
   * Phrases, with semicolons between. A word stands for itself and its plural; `boil*` for all forms of a verb, `hot!` for
   * itself alone, `dog/cat` for either, and `…` for up to four words in between.
   */
  readonly phrases: string;
}

/** The words of one language. */
export interface WordList {
  /** BCP 47. */
  readonly language: string;
  readonly entries: readonly WordEntry[];
  /** Words before a noun that make it a likeness of paper or play: “paper fish”. */
  readonly likenesses: string;
  /** Ways of saying that all of it happens in a story or a picture. */
  readonly stories: string;
  /** Words that make food of what may be an animal: “fish for lunch”. */
  readonly meals: string;
  /** Little words by which the language is known, and those of others that are written in the same letters. */
  readonly commonWords: string;
  readonly foreignWords: string;
}
