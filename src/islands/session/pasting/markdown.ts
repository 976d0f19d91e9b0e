/** Reading Markdown takes a parser that only whoever brings such a file needs: fetched then. */
export { paragraphsOfMarkdown } from '../../../core/guide/index.ts';
