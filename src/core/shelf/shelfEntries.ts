import type { Triple } from '../numbers/index.ts';
import type { ActivityBody, Segment } from '../session/index.ts';

/** An activity as it stands on the shelf. */
export interface ShelfActivity extends ActivityBody {
  readonly key: string;
  readonly title: string;
  /** A maker that writes it. */
  readonly made?: Segment['made'];
}

/** Where one stops in a book, what one asks, and why. */
interface BookPause {
  readonly page: number;
  readonly question: string;
  readonly why: string;
}

/** A book as it stands on the shelf. */
export interface ShelfBook {
  readonly key: string;
  readonly title: string;
  readonly words: number;
  readonly pages: number;
  readonly pauses: readonly BookPause[];
  /** What can be counted on which page; absent where it does not count. */
  readonly numbers?: readonly { readonly page: number; readonly number: number }[] | undefined;
  /** How to tell it when the book is not at hand. */
  readonly retold?: string | undefined;
  /** What happens in it, in a sentence or two. Absent in what is not from a shelf. */
  readonly summary?: string | undefined;
  readonly skills: readonly string[];
}

/** A song as it stands on the shelf. */
export interface ShelfSong {
  readonly key: string;
  readonly title: string;
  readonly tune: string;
  readonly verses: readonly (readonly string[])[];
  readonly actions: string;
  readonly skills: readonly string[];
  readonly minutes: Triple;
}
