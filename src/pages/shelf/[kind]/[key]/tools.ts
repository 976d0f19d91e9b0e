import type { APIRoute } from 'astro';
import { asEntryKind } from '../../../../contracts/shelfEntries.ts';
import { readForm } from '../../../../server/http/answers.ts';
import { pathTo } from '../../../../server/http/next.ts';
import { EdgeError } from '../../../../server/http/errors.ts';
import { duplicateEntry, retireEntry } from '../../../../server/services/shelfEntries.ts';

/** Duplicates an entry, takes it off the shelf or puts it back; leads to where it then is. */
export const POST: APIRoute = async ({ locals, params, request, redirect }) => {
  const kind = asEntryKind(params.kind);
  if (!kind) throw new EdgeError('not-found');
  const person = locals.person!;
  const key = params.key!;
  const what = (await readForm(request)).get('do');
  if (what === 'duplicate')
    return redirect(pathTo('shelf', kind, await duplicateEntry(person, kind, key), 'edit'), 303);
  await retireEntry(person, kind, key, what === 'retire');
  return redirect(pathTo('shelf', kind, key), 303);
};
