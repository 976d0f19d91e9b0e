/** How the folded panels above a term look: a line to open, then the whole width. */
export const PANEL =
  'open:basis-full open:pb-2.5 [&>summary]:cursor-pointer [&>summary]:font-heading [&>summary]:font-semibold [&>summary]:text-sm [&>summary]:py-0.5 [&_ul]:grid [&_ul]:gap-1 [&_ul]:my-1';
