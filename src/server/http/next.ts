const ELSEWHERE = 'http://elsewhere.invalid';

/** Where a sign-in leads: a path of ours, or today when what was asked for is none. */
export function ownPath(asked: string | null): string {
  if (!asked || !/^\/[!-~]*$/.test(asked) || asked.includes('\\')) return '/';
  const address = new URL(asked, ELSEWHERE);
  const path = address.pathname + address.search;
  return address.origin === ELSEWHERE && !path.startsWith('//') ? path : '/';
}
