/** The path of one of our pages, its words of any script encoded: what a header may carry. */
export function pathTo(...words: readonly string[]): string {
  return `/${words.map(encodeURIComponent).join('/')}`;
}

const ELSEWHERE = 'http://elsewhere.invalid';

/** Where a sign-in leads: a path of ours, or today when what was asked for is none. */
export function ownPath(asked: string | null): string {
  if (!asked || !/^\/[!-~]*$/.test(asked) || asked.includes('\\')) return '/';
  const address = new URL(asked, ELSEWHERE);
  const path = address.pathname + address.search;
  return address.origin === ELSEWHERE && !path.startsWith('//') ? path : '/';
}
