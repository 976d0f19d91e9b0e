import type { Change } from '../core/session/index.ts';
import { sayScreen } from './screenWords.ts';

/** What was changed, in a few words: what was written, put in, moved. */
export function describeChanges(changes: readonly Change[]): string {
  const ids = new Map<string, Set<string>>();
  const count = (name: string, id: string) => ids.set(name, (ids.get(name) ?? new Set()).add(id));
  for (const change of changes) {
    if (change.do === 'set') count('history.session', 'session');
    else if (change.do === 'parts') count(PART_WORDS[change.change.do], entryId(change.change));
    else if (change.do === 'set-part') count('history.parts-changed', change.part);
    else if (change.do === 'remarks') count('history.remarks', entryId(change.change));
    else if (change.do === 'accept' || change.do === 'ask-again') count('history.answered', change.finding);
    else {
      const id = change.do === 'set-entry' ? change.id : entryId(change.change);
      const isOut = change.do === 'entries' && change.change.do === 'remove';
      count(
        change.list === 'needs' ? 'history.things' : isOut ? 'history.lines-out' : 'history.lines',
        `${change.part}/${id}`,
      );
    }
  }
  const said = ORDER.flatMap((name) => {
    const size = ids.get(name)?.size ?? 0;
    return size === 0 ? [] : [name === 'history.session' ? sayScreen(name) : sayScreen(name, { count: size })];
  });
  return said.join(', ') || 'nothing that shows';
}

const ORDER = [
  'history.lines',
  'history.lines-out',
  'history.parts',
  'history.parts-out',
  'history.parts-moved',
  'history.things',
  'history.parts-changed',
  'history.session',
  'history.answered',
  'history.remarks',
] as const;

const PART_WORDS = { add: 'history.parts', remove: 'history.parts-out', move: 'history.parts-moved' } as const;

const entryId = (change: { readonly id: string } | { readonly entry: { readonly id: string } }): string =>
  'entry' in change ? change.entry.id : change.id;
