import type { Role } from '../../contracts/peopleForms.ts';
import { EdgeError } from './errors.ts';

/**
 * Who may open an address or send something to it: anybody; whoever holds the secret in it; or somebody of the programme
 * who is signed in, from readers by authors to owners, each of whom may all that the ones before may. Nobody: it takes nothing.
 */
export type Who = 'anybody' | 'holder' | Role | 'nobody';

export interface RouteRoles {
  readonly see: Who;
  readonly change: Who;
}

const page = (see: Who, change: Who = 'nobody'): RouteRoles => ({ see, change });

/**
 * Every address there is, as the folder of pages names it. It is refused at the door by this table alone; the services ask
 * again. An address that is not here is for nobody: a new one fails until somebody has decided. `docs/roles.md` is written
 * from it, and a test asks every route as everybody.
 */
export const ROUTES: Readonly<Record<string, RouteRoles>> = {
  '/': page('reader', 'author'),
  // A wrong address says so to whoever is signed in, whatever is sent to it.
  '/404': page('reader', 'reader'),
  '/account': page('reader', 'reader'),
  '/api/homes/table': page('nobody', 'author'),
  '/api/homes/[id]': page('nobody', 'author'),
  '/api/makers/[id]': page('nobody', 'author'),
  '/api/printer/[id]': page('reader', 'author'),
  '/api/sessions/[id]': page('reader', 'author'),
  '/api/sessions/[id]/here': page('nobody', 'reader'),
  '/api/sessions/[id]/judgement': page('nobody', 'author'),
  '/api/sessions/[id]/news': page('reader'),
  '/api/search': page('reader'),
  '/api/shelf/addables': page('reader'),
  '/api/shelf/entries/[kind]/[key]': page('nobody', 'author'),
  '/api/shelf/parts/[kind]/[key]': page('reader'),
  '/api/shelf/rows': page('nobody', 'author'),
  '/api/sounds/[sound]': page('reader', 'author'),
  '/api/terms/[id]': page('reader', 'author'),
  '/api/terms/[id]/sessions': page('nobody', 'author'),
  '/begin': page('anybody', 'anybody'),
  '/calendar/[token].ics': page('holder'),
  '/forget/[token]': page('holder', 'holder'),
  '/forgot': page('anybody', 'anybody'),
  '/g/[token]': page('holder'),
  '/g/[token]/[edition]': page('holder'),
  '/g/[token]/kept': page('holder', 'holder'),
  '/g/[token]/reply': page('holder', 'holder'),
  '/g/[token]/sound/[sound]': page('holder'),
  '/g/[token]/thanks': page('holder'),
  '/g/[token]/without': page('holder', 'holder'),
  '/g/[token]/words': page('holder', 'holder'),
  '/health': page('anybody'),
  '/help': page('reader'),
  '/homes': page('reader'),
  '/homes/export': page('author'),
  '/homes/table': page('author'),
  '/homes/[id]': page('author', 'author'),
  '/homes/[id]/words': page('reader', 'author'),
  '/join/[token]': page('holder', 'holder'),
  '/makers': page('reader'),
  '/makers/[id]': page('reader'),
  '/makers/[id]/print.pdf': page('reader'),
  '/makers/ladder': page('reader'),
  '/makers/words-to-a-tune': page('reader'),
  '/makers/words-to-a-tune/print.pdf': page('reader'),
  '/pictures/[name].svg': page('anybody'),
  '/printer': page('reader'),
  '/printer/[id].pdf': page('reader'),
  '/problem': page('anybody', 'anybody'),
  '/programme': page('owner', 'owner'),
  '/programme/cautions': page('reader', 'owner'),
  '/programme/delete': page('owner', 'owner'),
  '/programme/people': page('owner', 'owner'),
  '/programme/sounds': page('reader', 'author'),
  '/ready': page('anybody'),
  '/reset/[token]': page('holder', 'holder'),
  '/search': page('reader'),
  '/sent': page('reader'),
  '/sent/[id]': page('reader', 'author'),
  '/sent/[id]/[link]': page('author'),
  '/sessions': page('reader'),
  '/sessions/[id]': page('reader'),
  '/sessions/[id]/copy': page('author', 'author'),
  '/sessions/[id]/history': page('reader', 'author'),
  '/sessions/[id]/files/[file]': page('reader'),
  '/sessions/[id]/guide/[home]': page('reader'),
  '/sessions/[id]/prepare': page('reader', 'author'),
  '/sessions/[id]/print': page('reader'),
  '/sessions/[id]/rehearse': page('reader', 'author'),
  '/sessions/[id]/send': page('reader', 'author'),
  '/sessions/new': page('author', 'author'),
  '/shelf': page('reader'),
  '/shelf/[kind]/[key]': page('reader', 'author'),
  '/shelf/[kind]/[key]/edit': page('author'),
  '/shelf/[kind]/[key]/tools': page('nobody', 'author'),
  '/shelf/export': page('reader'),
  '/shelf/have': page('reader'),
  '/shelf/import': page('author', 'author'),
  '/shelf/new/[kind]': page('author'),
  '/shelf/starter': page('author', 'author'),
  '/shelf/thing/[key]': page('reader', 'author'),
  '/sign-in': page('anybody', 'anybody'),
  '/sign-out': page('nobody', 'reader'),
  '/term': page('reader'),
  '/term/[id]': page('reader'),
  '/term/[id]/coverage': page('reader'),
  '/term/[id]/due': page('reader', 'author'),
  '/term/[id]/sounds': page('reader'),
  '/term/[id]/sounds.pdf': page('reader'),
  '/term/calendar.ics': page('reader'),
  '/term/new': page('author', 'author'),
};

const RANK: Readonly<Record<Role, number>> = { reader: 1, author: 2, owner: 3 };
const REFUSED: RouteRoles = { see: 'nobody', change: 'nobody' };

/** Whom an address asks for; for one that is in no table, nobody. */
export function whoMay(route: string, isWrite: boolean): Who {
  const { see, change } = Object.hasOwn(ROUTES, route) ? ROUTES[route]! : REFUSED;
  return isWrite ? change : see;
}

/** Whether whoever asks needs no sign-in. */
export function isOpenTo(who: Who): boolean {
  return who === 'anybody' || who === 'holder';
}

/** Refuses somebody signed in whose part in the programme is too small, and what an address takes from nobody. */
export function requirePart(role: Role, who: Who): void {
  if (isOpenTo(who)) return;
  if (who === 'nobody') throw new EdgeError('wrong-method');
  if (RANK[role] < RANK[who as Role]) throw new EdgeError('not-allowed');
}
