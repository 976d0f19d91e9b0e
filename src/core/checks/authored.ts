import type { Segment } from '../session/index.ts';

/** Whether an author wrote a part: what a maker fetches and asks is the maker's to mend. */
export function isAuthored({ made }: Segment): boolean {
  return !made;
}
